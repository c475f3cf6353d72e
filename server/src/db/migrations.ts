import type { Knex } from 'knex';
import { keepFillingsOf050, pinRowsOf050 } from './from050.ts';

export interface Migration {
  name: string;
  up: (knex: Knex) => Promise<void>;
}

/** Migrations live in code so that the built server carries them. Never change one that has shipped: add the next. */
export const MIGRATIONS: readonly Migration[] = [
  {
    name: '001-first-slice',
    async up(knex) {
      await knex.schema.createTable('event', (t) => {
        t.increments('seq');
        t.string('id').notNullable().unique();
        t.string('stream_kind').notNullable();
        t.string('stream_id').notNullable();
        t.string('kind').notNullable();
        t.double('at_ms').notNullable();
        t.string('device_id').notNullable();
        t.integer('device_seq').notNullable();
        t.text('body').notNullable();
        t.double('received_ms').notNullable();
        t.index(['stream_kind', 'stream_id', 'seq']);
      });
      await knex.schema.createTable('batch', (t) => {
        t.string('id').primary();
        t.string('status').notNullable();
        t.text('plan').notNullable();
        t.integer('version').notNullable();
        t.text('pins');
        t.double('created_ms').notNullable();
        t.double('updated_ms').notNullable();
        t.index(['status', 'created_ms']);
      });
      await knex.schema.createTable('vessel', (t) => {
        t.string('id').primary();
        t.string('kind').notNullable();
        t.integer('position').notNullable();
        t.string('name').notNullable();
        t.double('diameter_cm').notNullable();
        t.double('height_cm');
        t.double('volume_ml');
        t.string('material').notNullable();
        t.boolean('lid').notNullable();
        t.double('mass_g');
        t.integer('count');
      });
      await knex.schema.createTable('burner', (t) => {
        t.string('id').primary();
        t.integer('position').notNullable();
        t.string('name').notNullable();
        t.string('kind').notNullable();
        t.double('power_w').notNullable();
      });
      await knex.schema.createTable('measure', (t) => {
        t.string('id').primary();
        t.integer('position').notNullable();
        t.string('name').notNullable();
        t.double('volume_ml').notNullable();
      });
      await knex.schema.createTable('factor', (t) => {
        t.string('kind').notNullable();
        t.string('subject_id').notNullable();
        t.string('measure_id').notNullable();
        t.double('value').notNullable();
        t.primary(['kind', 'subject_id', 'measure_id']);
      });
      await knex.schema.createTable('setting', (t) => {
        t.string('key').primary();
        t.text('value').notNullable();
      });
      await knex.schema.createTable('batch_now', (t) => {
        t.string('batch_id').primary().references('id').inTable('batch').onDelete('CASCADE');
        t.text('state').notNullable();
      });
      await knex.schema.createTable('item_now', (t) => {
        t.string('item_id').primary();
        t.string('batch_id').notNullable().references('id').inTable('batch').onDelete('CASCADE');
        t.boolean('gone').notNullable();
        t.text('facts').notNullable();
        t.index(['gone']);
      });
      await knex.schema.createTable('task_now', (t) => {
        t.string('batch_id').primary().references('id').inTable('batch').onDelete('CASCADE');
        t.string('step_id').notNullable();
        t.string('kind').notNullable();
        t.double('due_ms').notNullable();
      });
    },
  },
  {
    name: '002-the-book',
    async up(knex) {
      await knex.schema.createTable('recipe', (t) => {
        t.string('id').primary();
        t.integer('version').notNullable();
        t.boolean('retired').notNullable();
        t.double('updated_ms').notNullable();
      });
      await knex.schema.createTable('recipe_version', (t) => {
        t.string('recipe_id').notNullable().references('id').inTable('recipe');
        t.integer('version').notNullable();
        /** The version it was made from; null for the first. */
        t.integer('parent');
        t.string('hash').notNullable();
        t.text('body').notNullable();
        t.double('created_ms').notNullable();
        t.primary(['recipe_id', 'version']);
      });
      await knex.schema.createTable('ingredient', (t) => {
        t.string('id').primary();
        t.text('facts').notNullable();
      });
      await knex.schema.createTable('stock', (t) => {
        t.string('item_id').primary();
        t.double('in_house_g').notNullable();
        t.double('pack_g');
        t.double('price');
      });
    },
  },
  {
    name: '003-live',
    async up(knex) {
      // A rehearsal is a batch with a clock of its own; null for one that is real.
      await knex.schema.alterTable('batch', (t) => {
        t.text('rehearsal');
      });
      await knex.schema.createTable('device', (t) => {
        t.string('id').primary();
        t.string('name').notNullable();
        t.string('token_hash').notNullable().unique();
        t.double('created_ms').notNullable();
        t.double('seen_ms').notNullable();
      });
      await knex.schema.createTable('instrument', (t) => {
        t.string('id').primary();
        t.integer('position').notNullable();
        t.string('kind').notNullable();
        t.string('name').notNullable();
        t.integer('seed').notNullable();
        /** The batch it is held into; null while it lies in the drawer. */
        t.string('batch_id').references('id').inTable('batch').onDelete('SET NULL');
        t.boolean('lost').notNullable();
        t.double('tare_kg').notNullable();
      });
      await knex.schema.createTable('reading_chunk', (t) => {
        t.increments('id');
        t.string('instrument_id').notNullable().references('id').inTable('instrument').onDelete('CASCADE');
        t.string('batch_id').references('id').inTable('batch').onDelete('CASCADE');
        t.double('from_ms').notNullable();
        t.double('to_ms').notNullable();
        t.text('readings').notNullable();
        t.index(['instrument_id', 'batch_id', 'from_ms']);
      });
    },
  },
  {
    name: '004-cold-shelf',
    async up(knex) {
      await knex.schema.alterTable('vessel', (t) => {
        t.string('form');
        t.string('closure');
      });
      // What stands on the shelf is read with its log, and without its batch.
      await knex.schema.alterTable('item_now', (t) => {
        t.string('kind').notNullable().defaultTo('bottle');
        t.string('recipe_id').notNullable().defaultTo('');
        t.double('made_ms').notNullable().defaultTo(0);
        /** When it left the shelf; null while it stands there. */
        t.double('gone_ms');
        t.text('log').notNullable().defaultTo('{}');
        t.index(['gone', 'kind']);
        t.index(['gone', 'gone_ms']);
        t.index(['batch_id']);
      });
      await knex.schema.alterTable('batch_now', (t) => {
        /** When a batch with people it is meant for was bottled; null: nobody was named. */
        t.double('gift_ms');
        t.index(['gift_ms']);
      });
      await knex.schema.alterTable('event', (t) => {
        t.index(['stream_kind', 'kind', 'at_ms']);
      });
      await knex.schema.alterTable('batch', (t) => {
        t.index(['created_ms']);
      });
      await knex.schema.alterTable('reading_chunk', (t) => {
        t.index(['instrument_id', 'to_ms']);
      });
      await knex.schema.alterTable('instrument', (t) => {
        /** A simulated failure that is on, as JSON; null: it works. */
        t.text('failing');
      });
      await knex.schema.createTable('meta', (t) => {
        t.string('key').primary();
        t.text('value').notNullable();
      });
    },
  },
  {
    name: '005-pins-that-pin',
    async up(knex) {
      await knex.schema.alterTable('event', (t) => {
        /** What a filling gave to its bottles when it was filled, as JSON; null for every other entry. */
        t.text('kept');
      });
      await pinRowsOf050(knex);
      await keepFillingsOf050(knex);
    },
  },
  {
    name: '006-one-owner',
    async up(knex) {
      // Worked out from the events, with the projections.
      await knex.schema.createTable('item_owner', (t) => {
        t.string('item_id').primary();
        t.string('batch_id').notNullable();
      });
      await knex.schema.alterTable('batch_now', (t) => {
        /** Over: what a batch is beyond planned or begun is said by its log. */
        t.integer('done').notNullable().defaultTo(0);
      });
    },
  },
  {
    name: '007-a-pot-by-its-litres',
    async up(knex) {
      await knex.schema.alterTable('vessel', (t) => {
        /** Of a pot: only its litres were told, its width and height are guessed. */
        t.integer('shape_guessed');
      });
    },
  },
  {
    name: '008-readings-stay',
    async up(knex) {
      await knex.schema.alterTable('instrument', (t) => {
        /** When it was unpaired; null while it is paired. What it has read stays. */
        t.double('dropped_ms');
      });
    },
  },
  {
    name: '009-out-of-sight',
    async up(knex) {
      await knex.schema.alterTable('batch', (t) => {
        /** When a batch that cannot be read was put out of sight; null for every other one. */
        t.double('away_ms');
      });
    },
  },
  {
    name: '010-sections-of-others',
    async up(knex) {
      // What a newer program wrote into an archive: kept as it stands, and written out again.
      await knex.schema.createTable('kept_section', (t) => {
        t.increments('id');
        /** The line that the section begins with, and one of its lines; null where it has none. */
        t.text('head').notNullable();
        t.text('line');
      });
    },
  },
  {
    name: '011-basket',
    async up(knex) {
      await knex.schema.alterTable('stock', (t) => {
        /** Bought on this round of shopping, not put away yet. */
        t.double('basket_g').notNullable().defaultTo(0);
      });
    },
  },
  {
    name: '012-photos',
    async up(knex) {
      await knex.schema.createTable('photo', (t) => {
        t.string('id').primary();
        t.string('of_kind').notNullable();
        t.string('of_id').notNullable();
        t.string('what').notNullable();
        t.double('taken_ms').notNullable();
        t.integer('width_px').notNullable();
        t.integer('height_px').notNullable();
        /** The name of its file in the folder of the photos: what it holds. */
        t.string('hash').notNullable();
        t.index(['of_kind', 'of_id']);
        t.index(['hash']);
      });
    },
  },
  {
    name: '013-gatherings',
    async up(knex) {
      await knex.schema.createTable('gathering', (t) => {
        t.string('id').primary();
        t.integer('version').notNullable();
        /** When it is served: lists are in this order. */
        t.double('serves_at_ms').notNullable();
        t.text('doc').notNullable();
        t.double('created_ms').notNullable();
        t.double('updated_ms').notNullable();
      });
    },
  },
  {
    name: '014-timetables',
    async up(knex) {
      await knex.schema.alterTable('gathering', (t) => {
        /** Hours that were found for it. */
        t.text('timetable');
      });
    },
  },
  {
    name: '015-learning',
    async up(knex) {
      // What each batch tells of the kitchen, worked out from its log.
      await knex.schema.createTable('batch_evidence', (t) => {
        t.string('batch_id').primary();
        /** By which reading of logs. */
        t.string('v').notNullable();
        t.double('at_ms').notNullable();
        t.integer('readings').notNullable();
        t.text('residuals').notNullable();
        /** What went into it, and what its heat drew; null: it cannot be read. */
        t.text('spent');
      });
      // All that was believed of the kitchen, one version after the other.
      await knex.schema.createTable('learning', (t) => {
        t.integer('version').primary();
        t.double('at_ms').notNullable();
        t.string('by').notNullable();
        t.text('choices').notNullable();
        t.text('factors').notNullable();
        t.text('spreads').notNullable();
        t.integer('batches').notNullable();
        t.text('told');
      });
    },
  },
  {
    name: '016-where-it-went',
    async up(knex) {
      // Of a bottle; null for every other thing. Written with the projections.
      await knex.schema.alterTable('item_now', (t) => {
        t.string('fate');
        t.string('place_id');
        t.double('filled_ml');
        /** What was in it when it went, or is in it. */
        t.double('left_ml');
        t.index(
          ['batch_id', 'fate', 'place_id', 'filled_ml', 'left_ml', 'made_ms', 'gone_ms'],
          'item_now_went',
        );
      });
    },
  },
];

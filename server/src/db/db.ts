import type { Knex } from 'knex';

/** A knex or a transaction: every helper that takes one can join a transaction. */
export type Db = Knex;

import path from 'node:path';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { type BatchDoc, type KitchenDoc, ROUTES } from '@big-ladle/core/contract';
import { type GatheringDoc, newGathering, type PlanDoc, type Recipe } from '@big-ladle/core/documents';
import type { LearningDoc } from '@big-ladle/core/learn';
import { EVENT_KINDS, EVENTS, INSTRUMENT_KINDS } from '@big-ladle/core/log';
import { SAMPLES } from '../../core/src/log/events/samples.fixtures.ts';
import { tinyJpeg } from '../../server/src/photos/tinyJpeg.fixtures.ts';
import { HOSTILE_WORDS, mutated } from './hostile.ts';
import type { FuzzedKitchen, Sent, Things } from './kitchen.ts';
import type { Random } from './random.ts';

type RouteName = keyof typeof ROUTES;
const ALL = Object.keys(ROUTES) as RouteName[];
/** By these most comes in. */
const MORE_OF: readonly RouteName[] = [
  'events',
  'events',
  'uploadArchive',
  'takeArchive',
  'createBatch',
  'startBatch',
];
/** What a request needs besides its route: ids in its path, a query, a body. */
interface Parts {
  id?: string;
  query?: string;
  body?: unknown;
}

/** Makes requests: most as a window would send them, the others with something wrong in them. */
export class Requests {
  private made = 0;
  things!: Things;

  constructor(
    private readonly kitchen: FuzzedKitchen,
    private readonly random: Random,
  ) {}

  /** So many requests use what was last seen of the kitchen. */
  private static readonly LOOK_AFTER = 20;
  /** So many are of the routes that most comes in by. */
  private static readonly TAKES_MORE = 0.3;
  /** So many entries of a batch are of bottles filled. */
  private static readonly FILLS = 0.1;
  /** So many of all have something wrong in them. */
  private static readonly WRONG = 0.5;

  async next(): Promise<Sent> {
    const { random } = this;
    if (this.made++ % Requests.LOOK_AFTER === 0) this.things = await this.kitchen.things();
    const name = random.chance(Requests.TAKES_MORE) ? random.pick(MORE_OF) : random.pick(ALL);
    const route = ROUTES[name];
    const parts = await this.valid[name]();
    const id = encodeURIComponent(parts.id ?? 'none');
    const sent: Sent = {
      route: name,
      method: route.method,
      path: `${route.path.replace(/:\w+/, id)}${parts.query ?? ''}`,
      type: parts.body === undefined ? null : 'application/json',
      body: parts.body === undefined ? null : asText(parts.body),
    };
    if (name === 'uploadArchive') sent.type = 'application/x-ndjson';
    if (name === 'addPhoto') sent.type = 'image/jpeg';
    return random.chance(Requests.WRONG) ? this.spoilt(sent, parts) : sent;
  }

  private spoilt(sent: Sent, parts: Parts): Sent {
    const { random } = this;
    const word = encodeURIComponent(random.pick(HOSTILE_WORDS));
    switch (random.whole(0, 9)) {
      case 0:
        return { ...sent, path: sent.path.replace(/\/[^/?]+/, `/${word}`) };
      case 1:
        return {
          ...sent,
          path: `${sent.path}${sent.path.includes('?') ? '&' : '?'}before=${word}&version=-1&since=NaN`,
        };
      case 2:
        return sent.body === null
          ? sent
          : { ...sent, body: sent.body.slice(0, random.whole(0, sent.body.length)) };
      case 3:
        return sent.body === null
          ? sent
          : { ...sent, type: random.pick(['text/plain', 'application/xml', null]) };
      case 4:
        return sent.body === null ? sent : { ...sent, body: '['.repeat(60_000) };
      default: {
        if (sent.type === 'image/jpeg') return { ...sent, body: sent.body!.slice(random.whole(1, 40)) };
        if (typeof parts.body === 'string') return { ...sent, body: this.spoiltLines(parts.body) };
        return sent.body === null ? sent : { ...sent, body: asText(mutated(parts.body, random)) };
      }
    }
  }

  /** An archive with one of its lines made wrong, or gone. */
  private spoiltLines(text: string): string {
    const lines = text.split('\n');
    const at = this.random.whole(0, lines.length - 2);
    if (this.random.chance(0.2)) lines.splice(at, 1);
    else lines[at] = asText(mutated(JSON.parse(lines[at]!), this.random));
    return lines.join('\n');
  }

  private someBatch(): string {
    const { planned, on } = this.things;
    return this.random.pick([...planned, ...on])?.id ?? 'none';
  }

  private word(): string {
    return this.random.pick(HOSTILE_WORDS);
  }

  private fresh(): string {
    return `fuzz-${this.made}`;
  }

  private plan() {
    const recipe = this.random.pick(BOOK);
    const { pots, burners } = this.things.kitchen.kitchen;
    return {
      recipeId: recipe.id,
      choices: defaultChoices(recipe, this.random.pick(recipe.methods)),
      potId: this.random.pick(pots)?.id ?? 'none',
      burnerId: this.random.pick(burners)?.id ?? 'none',
      question: { kind: 'litres', litres: this.random.whole(1, 9) },
      fills: 1,
      readyAtMs: null,
    };
  }

  private gathering(): GatheringDoc {
    const { random } = this;
    const servesAtMs = this.kitchen.nowMs + random.whole(1, 200) * 3_600_000;
    const most = random.whole(0, 60);
    return {
      ...newGathering(this.word(), servesAtMs, servesAtMs + random.whole(1, 12) * 3_600_000),
      yearly: random.chance(0.5),
      groups: [{ id: 'g', name: this.word(), least: 0, most, age: 'adult', rules: [], thirst: 'usual' }],
      drinks: [
        {
          id: 'd',
          source: { kind: 'plan', plan: this.plan() as PlanDoc, litres: null },
          share: 1,
          served: 'cold',
          frozen: false,
          apart: [],
        },
      ],
      notes: this.word(),
    };
  }

  private recipe(id: string): Omit<Recipe, 'version'> & { version: number } {
    const base = this.random.pick(BOOK);
    return {
      ...base,
      id,
      version: 1,
      name: this.word(),
      about: this.word(),
      base: { id: base.id, version: 1 },
    };
  }

  private event(stream: { kind: string; id: string }, kind: string, body: object, i = 0): object {
    const id = `fuzz-e-${this.made}-${i}`;
    const atMs = this.kitchen.nowMs - this.random.whole(0, 3_600_000);
    return { id, stream, v: 1, atMs, deviceId: 'fuzz', deviceSeq: this.made, kind, body };
  }

  /** Something that a cook may say, of a batch or of a bottle. */
  private entry(i: number): object {
    const { random, things } = this;
    const isItem = random.chance(0.3) && things.items.length > 0;
    const kinds = EVENT_KINDS.filter(
      (kind) => (EVENTS[kind].of === 'item') === isItem && EVENTS[kind].of !== 'log',
    );
    // Bottles come of one kind alone: without some the screens of the shelf would stand over nothing.
    const fills = !isItem && random.chance(Requests.FILLS);
    const kind = fills ? 'bottled' : random.pick(kinds);
    const batch = random.pick(things.on);
    const body: Record<string, unknown> = { ...SAMPLES[kind] };
    if ('stepId' in body)
      body.stepId = fills ? (batch?.stepIds.at(-1) ?? 'none') : random.pick(batch?.stepIds ?? ['none']);
    for (const words of ['words', 'text', 'to', 'why', 'label'])
      if (typeof body[words] === 'string' && kind !== 'removed' && kind !== 'used') body[words] = this.word();
    if ('bottles' in body)
      body.bottles = [
        {
          itemId: `fuzz-b-${this.made}-${i}`,
          sizeId: 'x',
          name: this.word(),
          sizeMl: 750,
          volumeMl: 700,
          diameterCm: 8,
          forWhom: this.word(),
        },
      ];
    if ('leftovers' in body)
      body.leftovers = SAMPLES.setAside.leftovers.map((l) => ({ ...l, itemId: `fuzz-l-${this.made}-${i}` }));
    const stream = isItem
      ? { kind: 'item', id: random.pick(things.items) }
      : { kind: 'batch', id: batch?.id ?? 'none' };
    return this.event(stream, kind, body, i);
  }

  private planned() {
    return this.random.pick(this.things.planned) ?? { id: 'none', version: 1 };
  }

  /** A valid request for every route of the contract. */
  private readonly valid: Record<RouteName, () => Promise<Parts>> = {
    batchNames: async () => ({}),
    likedPoints: async () => ({}),
    health: async () => ({}),
    time: async () => ({}),
    kitchen: async () => ({}),
    saveKitchen: async () => {
      const { version, kitchen } = await this.kitchen.get<KitchenDoc>('/kitchen');
      const bottles = kitchen.bottles.map((b, i) => (i === 0 ? { ...b, name: this.word() } : b));
      const places = kitchen.places.map((p, i) => (i === 0 ? { ...p, name: this.word() } : p));
      return {
        body: { version, kitchen: { ...kitchen, bottles, places, roomC: this.random.whole(15, 30) } },
      };
    },
    batches: async () => ({
      query: this.random.pick([
        '',
        '?status=on',
        '?status=planned',
        '?away=1',
        '?before=1-a',
        '?before=1',
        '?drinks=a,b',
      ]),
    }),
    createBatch: async () => ({ body: { id: this.fresh(), plan: this.plan() } }),
    batch: async () => ({ id: this.random.pick(this.things.on)?.id }),
    savePlan: async () => {
      const { id } = this.planned();
      const { batch } = await this.kitchen.get<BatchDoc>(`/batches/${id}`);
      return { id, body: { version: batch?.version ?? 1, plan: this.plan() } };
    },
    putBatchAway: async () => ({
      id: this.random.pick(this.things.on)?.id,
      body: { away: this.random.chance(0.5) },
    }),
    dropPlan: async () => {
      const { id, version } = this.planned();
      return { id, query: `?version=${version}` };
    },
    startBatch: async () => {
      const { id, version } = this.planned();
      const began = this.event({ kind: 'batch', id }, 'stepStarted', { stepId: 'pick' });
      return { id, body: { version, events: [began] } };
    },
    createRehearsal: async () => {
      const id = this.fresh();
      const began = this.event({ kind: 'rehearsal', id }, 'stepStarted', { stepId: 'pick' });
      return { body: { id, plan: this.plan(), speed: 60, seed: 7, events: [began] } };
    },
    changeRehearsal: async () => ({
      id: this.random.pick(this.things.rehearsals),
      body: this.random.chance(0.5) ? { kept: true } : { speed: 60 },
    }),
    forgetRehearsal: async () => ({ id: this.random.pick(this.things.rehearsals) }),
    events: async () => ({
      body: { events: Array.from({ length: this.random.whole(1, 4) }, (_, i) => this.entry(i)) },
    }),
    instruments: async () => ({}),
    putInstrument: async () => ({
      id: this.fresh(),
      body: {
        kind: this.random.pick(INSTRUMENT_KINDS),
        name: this.word(),
        batchId: null,
        lost: this.random.chance(0.5),
        tareKg: 0,
        failing: null,
      },
    }),
    dropInstrument: async () => ({ id: this.random.pick(this.things.instruments) }),
    readings: async () => ({ id: this.random.pick(this.things.instruments) }),
    fridge: async () => ({}),
    recipes: async () => ({}),
    createRecipe: async () => ({ body: { recipe: this.recipe(this.fresh()) } }),
    saveRecipe: async () => {
      const own = this.random.pick(this.things.recipes);
      const id = own?.id ?? 'none';
      return { id, body: { version: own?.version ?? 1, recipe: this.recipe(id) } };
    },
    retireRecipe: async () => {
      const own = this.random.pick(this.things.recipes);
      return { id: own?.id, query: `?version=${own?.version ?? 1}` };
    },
    recipeVersions: async () => ({ id: this.random.pick(this.things.recipes)?.id }),
    putIngredient: async () => {
      const id = `own-${this.fresh()}`;
      return {
        id,
        body: { id, name: this.word(), role: 'fruit', dried: true },
      };
    },
    stock: async () => ({}),
    putStock: async () => ({
      id: this.random.pick(['salt', 'hibiscus-dried', this.fresh()]),
      body: {
        inHouseG: this.random.whole(0, 5000),
        packG: null,
        price: this.random.chance(0.5) ? 2.5 : null,
      },
    }),
    items: async () => ({}),
    itemsGone: async () => ({}),
    use: async () => ({}),
    item: async () => ({ id: this.random.pick(this.things.items) }),
    itemEvents: async () => ({ id: this.random.pick(this.things.items) }),
    purchases: async () => ({}),
    gifts: async () => ({}),
    logbook: async () => ({}),
    year: async () => ({ query: this.random.chance(0.5) ? '?of=2026' : '' }),
    learning: async () => ({}),
    saveLearning: async () => {
      const { version, choices } = await this.kitchen.get<LearningDoc>('/learning');
      const held = [
        {
          id: this.random.pick(['power:ring', 'jug', this.word()]),
          factor: this.random.chance(0.9) ? 1.2 : 900,
        },
      ];
      return { body: { version, choices: { ...choices, held, practice: this.random.chance(0.5) } } };
    },
    gatherings: async () => ({}),
    saveGathering: async () => {
      const known = this.random.pick(this.things.gatherings);
      const id = known?.id ?? this.fresh();
      return { id, body: { version: known?.version ?? 0, gathering: this.gathering() } };
    },
    keepTimetable: async () => {
      const place = {
        drinkId: 'd',
        jobId: this.word(),
        startMs: this.kitchen.nowMs + this.random.whole(1, 90) * 60_000,
        by: this.random.chance(0.5) ? 'cook' : null,
      };
      return {
        id: this.random.pick(this.things.gatherings)?.id ?? 'none',
        body: { basis: this.word(), places: [place], joined: [], agreed: [place] },
      };
    },
    dropGathering: async () => {
      const known = this.random.pick(this.things.gatherings);
      return { id: known?.id ?? 'none', query: `?version=${known?.version ?? 1}` };
    },
    photos: async () => ({ query: `?of=batch&ofId=${this.someBatch()}` }),
    addPhoto: async () => ({
      query: `?id=${this.fresh()}&of=batch&ofId=${this.someBatch()}&what=spoon&takenMs=1`,
      body: tinyJpeg(this.word(), this.random.whole(0, 200)).toString('latin1'),
    }),
    photoFile: async () => ({ id: this.fresh() }),
    dropPhoto: async () => ({ id: this.fresh() }),
    pair: async () => ({ body: { code: String(this.random.whole(100_000, 999_999)), name: this.word() } }),
    access: async () => ({}),
    revoke: async () => ({ id: this.fresh() }),
    changeNetwork: async () => ({ body: { open: false, safe: false } }),
    makeCertificate: async () => ({}),
    backups: async () => ({}),
    makeBackup: async () => ({}),
    chooseBackupFolder: async () => ({ body: { folder: path.join(this.kitchen.backups, this.fresh()) } }),
    restoreBackup: async () => ({ body: { name: this.word() } }),
    exportArchive: async () => ({}),
    uploadArchive: async () => ({ body: await this.kitchen.archive() }),
    importState: async () => ({}),
    takeArchive: async () => ({ body: { mode: 'merge' } }),
    cancelImport: async () => ({}),
  };
}

/** What cannot be written as JSON is sent as nothing. */
const asText = (value: unknown): string =>
  typeof value === 'string' && value.includes('\n') ? value : (JSON.stringify(value) ?? '');

import type { EventBody, EventKind, LogEvent } from './table.ts';

type BodyOf<K extends EventKind> = Extract<EventBody, { kind: K }>['body'];

/** For tests: a body of every kind that may be written today. */
export const SAMPLES: { [K in EventKind]: BodyOf<K> } = {
  planned: { litres: 9, methodId: 'straightBoil' },
  stepStarted: { stepId: 'boil' },
  stepEnded: { stepId: 'boil', rinses: 3 },
  skipped: { stepId: 'boil' },
  strainedEarly: { stepId: 'boil', waterL: 2, boilMin: 15 },
  flame: { stepId: 'boil', on: false },
  cueSeen: { stepId: 'boil', cue: 'rolling' },
  clockStarted: { clockId: 'c', label: 'rice', minutes: 12 },
  measured: { stepId: 'boil', vesselId: 'pot', reading: { what: 'temperature', tempC: 96 } },
  added: { stepId: 'boil', vesselId: 'pot', lineKind: 'liquid', itemId: 'water', lineId: 'x', massG: 500 },
  removed: { stepId: 'boil', vesselId: 'pot', volumeL: 0.2, why: 'taste' },
  swapped: { lineId: 'ginger', itemId: 'ginger-ground', massG: 20 },
  tasted: { stepId: 'sweeten', axes: { sweet: 0 }, atSweetnessPct: 8 },
  split: { stepId: 'sweeten', restL: 4, lots: [{ lotId: 'a', kind: 'sweet', name: 'Aunt', volumeL: 2 }] },
  bottled: {
    stepId: 'bottle',
    hygiene: 'clean',
    bottles: [{ itemId: 'b1', sizeId: 'flip', name: 'Flip-top', sizeMl: 750, volumeMl: 720, diameterCm: 8 }],
  },
  setAside: {
    leftovers: [
      {
        itemId: 'l1',
        kind: 'pulp',
        ingredientIds: ['ginger-sliced'],
        massG: 300,
        portions: 2,
        placeId: 'fridge',
      },
    ],
  },
  gifts: { occasion: 'Lantern supper', remindNextYear: true, rows: [{ to: 'next door', count: 2 }] },
  stopped: { rest: 'pouredAway', code: 'stop.fell' },
  fromPurchase: { itemId: 'hibiscus-dried', purchase: 'market, 12 November' },
  scored: { score: 4, words: 'a little sharp' },
  noted: { text: 'foam at ten minutes\nlid off' },
  moved: { place: 'fridge' },
  vented: {},
  looked: { signs: [] },
  gaveAway: { to: 'next door' },
  used: { massG: 100, use: 'jam' },
  opened: {},
  poured: { volumeMl: 200 },
  finished: {},
  discarded: { why: 'forgotten' },
  retimed: { target: 'e0', toMs: 1_800_000_000_000 },
  undone: { target: 'e0' },
};

/** An event of a kind, as a window would write it. */
export const sampleEvent = <K extends EventKind>(
  kind: K,
  stream: LogEvent['stream'],
  more: Partial<LogEvent> = {},
): LogEvent =>
  ({
    id: `e-${kind}`,
    stream,
    v: 1,
    atMs: 1_800_000_000_000,
    deviceId: 'd',
    deviceSeq: 1,
    kind,
    body: SAMPLES[kind],
    ...more,
  }) as LogEvent;

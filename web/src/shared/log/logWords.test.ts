import '../../words/places/pages.ts';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { EMPTY_KITCHEN, type Kitchen } from '@big-ladle/core/documents';
import { EVENT_KINDS, type LogEvent } from '@big-ladle/core/log';
import { solvePlan } from '@big-ladle/core/plan';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import { describe, expect, it } from 'vitest';
import { deedText } from './logWords.ts';

const recipe = BOOK[0]!;
const kitchen: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: [{ id: 'p', name: 'Pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: null }],
  burners: [{ id: 'b', name: 'Ring', kind: 'gas', powerW: 3000 }],
};
const { program } = unwrap(
  solvePlan({
    recipe,
    choices: defaultChoices(recipe, 'straightBoil'),
    kitchen,
    tables: SHIPPED_TABLES,
    pot: kitchen.pots[0]!,
    burner: kitchen.burners[0]!,
    wish: { question: { kind: 'litres', litres: 6 }, fills: 1 },
  }),
);
const said = (kind: string, body: object): string =>
  deedText(
    {
      id: 'e',
      stream: { kind: 'batch', id: 'b' },
      v: 1,
      atMs: 0,
      deviceId: 'd',
      deviceSeq: 0,
      kind,
      body,
    } as LogEvent,
    program,
  );
const boil = program.steps.find((s) => s.kind === 'boil')!.id;
const ginger = program.lines.find((l) => l.itemId.startsWith('ginger'))!;

/** A body of every kind that stands in a batch's log, and what is said of it. */
const SAID: readonly (readonly [string, object, RegExp])[] = [
  ['planned', { litres: 6, methodId: 'straightBoil' }, /^planned$/],
  ['stepStarted', { stepId: boil }, /^began to boil/],
  ['stepEnded', { stepId: boil }, /^Boiled enough/],
  ['skipped', { stepId: boil }, /^skipped: boil/],
  ['cueSeen', { stepId: boil, cue: 'rinse' }, /^rinsed once$/],
  ['cueSeen', { stepId: boil, cue: 'spoon.darker' }, /^saw: darker$/],
  ['cueSeen', { clockId: 'c', cue: 'stopped' }, /^stopped a clock$/],
  ['clockStarted', { clockId: 'c', label: 'Peel soak', minutes: 20 }, /^clock: Peel soak, 20 min$/],
  [
    'measured',
    { stepId: boil, vesselId: 'pot', reading: { what: 'brix', brix: 4.2 } },
    /^measured 4\.2 °Bx$/,
  ],
  [
    'added',
    { stepId: boil, vesselId: 'pot', lineKind: 'liquid', itemId: 'water', lineId: 'x', massG: 250 },
    /^added 250 g water$/,
  ],
  ['removed', { stepId: boil, vesselId: 'pot', volumeL: 0.5, why: 'spill' }, /^spilt: 0\.50 L less$/],
  ['removed', { stepId: boil, vesselId: 'pot', volumeL: 0.5, why: 'other' }, /^served: 0\.50 L less$/],
  ['removed', { stepId: boil, vesselId: 'pot', volumeL: 0.02, why: 'taste' }, /^tasted: 0\.02 L less$/],
  ['flame', { stepId: boil, on: false }, /^the flame went out$/],
  ['flame', { stepId: boil, on: true }, /^the flame is back$/],
  ['strainedEarly', { stepId: boil, waterL: 0, boilMin: 15 }, /^strained early$/],
  ['strainedEarly', { stepId: boil, waterL: 2, boilMin: 15 }, /^strained early, once more with 2\.0 L$/],
  ['swapped', { lineId: ginger.id, itemId: ginger.itemId, massG: 20 }, /^really went in: 20 g ginger/],
  ['swapped', { lineId: 'gone', itemId: 'honey', massG: 0 }, /^really went in: honey \(not in this batch\)$/],
  [
    'split',
    { stepId: boil, restL: 1, lots: [{ lotId: 'a', kind: 'plain', name: 'Left plain', volumeL: 2 }] },
    /^split: left plain 2\.0 L$/,
  ],
  ['tasted', { stepId: boil, axes: { sweet: 1 }, atSweetnessPct: 8 }, /too sweet/],
  ['tasted', { stepId: boil, axes: { sour: 1 }, atSweetnessPct: 8 }, /too tart/],
  ['tasted', { stepId: boil, axes: { strong: -1 }, atSweetnessPct: 8 }, /thin/],
  ['bottled', { stepId: boil, hygiene: 'clean', bottles: [{}, {}] }, /^filled 2 bottles$/],
  ['stopped', { rest: 'pouredAway', code: 'stop.fell' }, /^stopped: The pot fell or boiled over/],
  ['stopped', { rest: 'none' }, /^stopped$/],
  ['fromPurchase', { itemId: 'clove', purchase: 'market, 12 November' }, /^clove: market, 12 November$/],
  ['scored', { score: 4, words: 'more lime' }, /^4 of 5: more lime$/],
  ['scored', { score: 2 }, /^2 of 5$/],
  [
    'setAside',
    {
      leftovers: [
        { kind: 'calyx', massG: 900 },
        { kind: 'root', massG: 60 },
      ],
    },
    /^set aside: 900 g of used hibiscus, 60 g of ginger and other root$/,
  ],
  [
    'gifts',
    { occasion: 'Lantern supper', rows: [{ to: 'No. 14', count: 2 }] },
    /^for Lantern supper: 2 for No\. 14$/,
  ],
  ['noted', { text: 'less clove' }, /^less clove$/],
  ['retimed', { target: 'e', toMs: 0 }, /^set an earlier time$/],
  ['undone', { target: 'e' }, /^took back$/],
];

describe('the log in words', () => {
  it.each(SAID)('%s %j', (kind, body, words) => {
    expect(said(kind, body)).toMatch(words);
  });
  it('says something of every kind that a batch may hold', () => {
    // Those of a bottle's own stream have the shelf's words.
    const ofBottles = [
      'moved',
      'opened',
      'poured',
      'finished',
      'discarded',
      'vented',
      'looked',
      'gaveAway',
      'used',
    ];
    const told = new Set(SAID.map(([kind]) => kind));
    expect(EVENT_KINDS.filter((k) => !told.has(k) && !ofBottles.includes(k))).toEqual([]);
  });
});

import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { BOOK } from '@big-ladle/core/book';
import { MESSAGE_KINDS, METHOD_IDS } from '@big-ladle/core/documents';
import {
  CHECK_KINDS,
  CLOSURES,
  CONTAINER_CAUTION_ROWS,
  CONTAINER_FORMS,
  CONTAINER_MATERIALS,
  LEFTOVER_ROWS,
  PLACE_KINDS,
  SCREEN_CODES,
  SIGNS,
} from '@big-ladle/core/shelf';
import { AUDIENCES, BOIL_LEVELS, CLAIM_ROWS, GUIDANCE_ROWS, SHIPPED_TABLES } from '@big-ladle/core/tables';
import { afterEach, describe, expect, it } from 'vitest';
import { EN_BATCH } from './en/batch.ts';
import { EN as FIRST } from './en/common.ts';
import { EN_COST } from './en/cost.ts';
import { EN_DATA_PROBLEMS } from './en/dataProblems.ts';
import { EN_DATES } from './en/dates.ts';
import { EN_DRINKS } from './en/drinks.ts';
import { EN_FEAST } from './en/feast.ts';
import { EN_FIND } from './en/find.ts';
import { EN_GATHERINGS } from './en/gatherings.ts';
import { EN_ITEMS } from './en/items.ts';
import { EN_KITCHEN } from './en/kitchen.ts';
import { EN_LOGBOOK } from './en/logbook.ts';
import { EN_PAGES } from './en/pages.ts';
import { EN_PHOTOS } from './en/photos.ts';
import { EN_RECIPE_TEXT } from './en/recipeText.ts';
import { EN_SHELF } from './en/shelf.ts';
import { EN_SHOPPING } from './en/shopping.ts';
import { EN_STEPS } from './en/steps.ts';
import { EN_STOVE } from './en/stove.ts';
import { EN_WAITING } from './en/waiting.ts';
import { sayField } from './fields.ts';
import './places/batch.ts';
import './places/kitchen.ts';
import './places/pages.ts';
import './places/steps.ts';
import { sayReason } from './coreWords.ts';
import { num, writeDates } from './numbers.ts';
import { celsius, centimetres, grams, litres, speakUnits, volume } from './quantities.ts';
import {
  clockFace,
  dayOf,
  duration,
  handText,
  longWeekdayName,
  say,
  sayCode,
  shortDay,
  timeOfDay,
} from './say.ts';
import { STUMBLES } from './stumbles.ts';

const PLACES: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  batch: EN_BATCH,
  dates: EN_DATES,
  dataProblems: EN_DATA_PROBLEMS,
  drinks: EN_DRINKS,
  find: EN_FIND,
  waiting: EN_WAITING,
  items: EN_ITEMS,
  kitchen: EN_KITCHEN,
  pages: EN_PAGES,
  photos: EN_PHOTOS,
  recipeText: EN_RECIPE_TEXT,
  shelf: EN_SHELF,
  steps: EN_STEPS,
  feast: EN_FEAST,
  gatherings: EN_GATHERINGS,
  cost: EN_COST,
  logbook: EN_LOGBOOK,
  shopping: EN_SHOPPING,
  stove: EN_STOVE,
};
/** The sentences of all places together. */
const EN: Readonly<Record<string, string>> = Object.assign({}, FIRST, ...Object.values(PLACES));

const SRC = path.resolve(import.meta.dirname, '..');
const CORE = path.resolve(SRC, '../../core/src');
const filesIn = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const full = path.join(folder, name);
    return statSync(full).isDirectory()
      ? filesIn(full)
      : /\.tsx?$/.test(name) && !name.includes('.test.')
        ? [full]
        : [];
  });

/** The screens' files that come with the first load: all that its entry imports, and what that imports. */
const firstFiles = new Set([path.join(SRC, 'app/main.tsx')]);
for (const file of firstFiles)
  for (const [, name] of readFileSync(file, 'utf8').matchAll(
    /^(?:import|export) (?!type).*?'(\.[^']+\.tsx?)';$/gms,
  ))
    firstFiles.add(path.resolve(path.dirname(file), name!));

describe('words', () => {
  it('there is a sentence for every guidance row, drink, method and line of the book', () => {
    const wanted = [
      ...GUIDANCE_ROWS.map((r) => `guide.${r.code}`),
      ...BOOK.flatMap((r) => [
        `drink.${r.id}`,
        `drink.${r.id}.about`,
        ...r.lines.map((l) => `item.${l.itemId}`),
      ]),
      ...METHOD_IDS.flatMap((m) => [`method.${m}`, `method.${m}.why`]),
      ...BOOK.flatMap((r) =>
        r.lines.flatMap((l) => SHIPPED_TABLES.ingredients.get(l.itemId)?.piece?.id ?? []),
      ).map((p) => `piece.${p}`),
    ];
    expect(wanted.filter((code) => !(code in EN))).toEqual([]);
    expect(Object.keys(BOIL_LEVELS)).toContain('gentle');
  });
  it('no sentence has a word that only its makers say', () => {
    const found = Object.entries(EN).filter(([, text]) => STUMBLES.test(text.replace(/\{\w+/g, '{')));
    expect(found).toEqual([]);
  });
  it('no sentence has an amount in a unit that some kitchens do not use, but where the unit is part of what is said', () => {
    // What packets, laws and sheets of labels are told in everywhere.
    const told = /^(alcoholUnit|sheets)\.|100 (mL|g)|in 100 \{|g\/L|100 g of/;
    const found = Object.entries(EN).filter(
      ([key, text]) =>
        /(\}|[\d\s]\d*)[\s\u00a0]?(°C|mL|L|kg|cm)(?![\w/])/.test(text.replace(/\{\d+\w+\}/g, '')) &&
        !told.test(key) &&
        !told.test(text),
    );
    expect(found).toEqual([]);
  });
  it('amounts in sentences are written in the units of the kitchen', () => {
    expect(say('panels.allAtC')).toBe('all at 20 °C');
    expect(say('kitchenPage.waterBoilsCLower')).toBe('Water boils 1 °C lower for each 300 m');
    try {
      speakUnits({ units: 'us', degrees: 'fahrenheit' });
      expect(say('panels.allAtC')).toBe('all at 68 °F');
      // 1 °C is 1.8 °F; 300 m are 984.3 ft.
      expect(say('kitchenPage.waterBoilsCLower')).toBe('Water boils 2 °F lower for each 984 ft');
      expect(say('flow.why.strainLoss')).toMatch(/^1\.7 fl oz for each straining/);
      expect([litres(9), volume(0.75), grams(1000), celsius(4.5, 1), centimetres(24)]).toEqual([
        '9.5 qt',
        '25.4 fl oz',
        '2 lb 3.3 oz',
        '40.1 °F',
        '9.45 in',
      ]);
    } finally {
      speakUnits({});
    }
  });
  it('there is a sentence for every code the core says', () => {
    const codes = filesIn(CORE).flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/said\('([^']+)'/g)].map((m) => m[1]!),
    );
    const missing = codes.filter((code) => !(code in EN) && !(`note.${code}` in EN));
    expect(codes.length).toBeGreaterThan(8);
    expect(missing).toEqual([]);
  });
  it('every code a screen says is there', () => {
    const codes = filesIn(SRC).flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/\bsay\('([^']+)'/g)].map((m) => m[1]!),
    );
    expect(codes.filter((code) => !(code in EN))).toEqual([]);
  });
  it('there are words for every row of the cold shelf', () => {
    const wanted = [
      ...SIGNS.map((s) => `sign.${s}`),
      ...CHECK_KINDS.map((k) => `check.${k}`),
      ...CLAIM_ROWS.flatMap((r) => [r.code, `${r.code}.why`]),
      ...CONTAINER_CAUTION_ROWS.map((r) => r.code),
      ...LEFTOVER_ROWS.flatMap((r) => [
        `leftover.${r.kind}`,
        ...r.uses.flatMap((u) => [`use.${u}`, `use.${u}.how`]),
      ]),
      ...SCREEN_CODES.map((c) => `screen.${c}`),
      ...AUDIENCES.map((a) => `audience.${a}`),
      ...MESSAGE_KINDS.flatMap((k) => [`remind.${k}`, `message.${k}`]),
      ...PLACE_KINDS.map((k) => `place.${k}`),
      ...CONTAINER_FORMS.map((f) => `form.${f}`),
      ...CONTAINER_MATERIALS.map((m) => `material.${m}`),
      ...CLOSURES.map((c) => `closure.${c}`),
    ];
    expect(wanted.filter((code) => !(code in EN))).toEqual([]);
    const longer = [
      ...readFileSync(path.join(CORE, 'keeping/lifeExtensions.ts'), 'utf8').matchAll(
        /code: '(longer\.[^']+)'/g,
      ),
    ].map((m) => m[1]!);
    expect(longer.length).toBeGreaterThan(6);
    expect(longer.filter((code) => !(code in EN))).toEqual([]);
  });
  it('no catalogue says differently what another says by the same name', () => {
    const all = filesIn(path.join(SRC, 'words/en')).flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/^ {2}'([^']+)':/gm)].map((m) => m[1]!),
    );
    expect(all.length).toBeGreaterThan(2000);
    expect(all.filter((code, i) => all.indexOf(code) !== i)).toEqual([]);
  });
  it('a file loads the sentences of the places it speaks for', () => {
    const unloaded = filesIn(SRC).flatMap((file) => {
      const text = readFileSync(file, 'utf8');
      return (
        Object.entries(PLACES)
          // Those of the pages come with every page (the routes).
          .filter(([place]) => place !== 'pages' && !text.includes(`/places/${place}.ts'`))
          .flatMap(([, sentences]) => Object.keys(sentences).filter((code) => text.includes(`'${code}'`)))
          .map((code) => `${path.relative(SRC, file)}: ${code}`)
      );
    });
    expect(unloaded.filter((line) => !line.startsWith('words/en/'))).toEqual([]);
  });
  it('what is loaded later from the first page brings the sentences of the pages along', () => {
    const later = [...firstFiles].flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/lazy\(\(\) =>\s*import\('([^']+)'\)/g)].map((m) =>
        path.resolve(path.dirname(file), m[1]!),
      ),
    );
    expect(later.length).toBeGreaterThan(3);
    const without = later.filter((file) => !readFileSync(file, 'utf8').includes("/places/pages.ts'"));
    expect(without).toEqual([]);
  });
  it('what the first page says is there before any other page is', () => {
    const said = [...firstFiles].flatMap((file) => {
      const text = readFileSync(file, 'utf8');
      return Object.keys(EN_PAGES)
        .filter((code) => text.includes(`'${code}'`))
        .map((code) => `${path.relative(SRC, file)}: ${code}`);
    });
    expect(said).toEqual([]);
  });
  it('there is no sentence that nothing says', () => {
    const source = [...filesIn(SRC).filter((file) => !file.includes('/words/en/')), ...filesIn(CORE)]
      .map((file) => readFileSync(file, 'utf8'))
      .join('\n');
    const composed = [...source.matchAll(/`([a-zA-Z]+\.[\w.]*)\$\{/g)].map((m) => m[1]!);
    const idle = Object.keys(EN).filter(
      (code) =>
        // The reason for a saying is found by the saying's own code.
        !source.includes(`'${code}'`) &&
        !(code.endsWith('.why') && source.includes(`'${code.slice(0, -'.why'.length)}'`)) &&
        !composed.some((stem) => code.startsWith(stem)),
    );
    expect(idle).toEqual([]);
  });
  it('every sentence can be read as a message, and says its figures', () => {
    for (const [code, text] of Object.entries(EN)) {
      const names = [...text.matchAll(/\{(\w+)[,}]/g)].map((m) => m[1]!);
      const said = sayCode(code, Object.fromEntries(names.map((name) => [name, 7])));
      if (code in FIRST) for (const name of names) expect(said, code).not.toContain(`{${name}}`);
    }
  });
  it('plurals follow the number; a figure that is missing leaves the sentence as it is written', () => {
    expect(say('wash.ofRinses', { asked: 1 })).toBe('of one rinse');
    expect(say('wash.ofRinses', { asked: 3 })).toBe('of 3 rinses');
    expect(say('slip.long', {})).toContain('{minutes}');
  });
  it('makes no health claims', () => {
    expect(
      Object.values(EN).filter((text) =>
        /\b(cures?|heals?|detox|boosts?|healthy|prevents?|immune|superfood)\b/i.test(text),
      ),
    ).toEqual([]);
  });
});

describe('dates', () => {
  const day = Date.UTC(2026, 11, 3, 20);
  afterEach(() => writeDates('dayFirst'));
  it('are written as the kitchen writes them, in its own zone', () => {
    expect(dayOf(day, 'America/Bogota')).toBe('Thu 3 Dec');
    expect(dayOf(day, 'Pacific/Auckland')).toBe('Fri 4 Dec');
    writeDates('monthFirst');
    expect(dayOf(day, 'America/Bogota')).toBe('Thu, Dec 3');
    expect(timeOfDay(day, 'America/Bogota')).toBe('15:00');
  });
  it('an older answer that does not say leaves the day first', () => {
    writeDates('monthFirst');
    writeDates(undefined);
    expect(shortDay(day, 'UTC')).toBe('3 Dec');
  });
  it('a week has its days by name', () => {
    expect([1, 0, 6].map(longWeekdayName)).toEqual(['Monday', 'Sunday', 'Saturday']);
  });
});

describe('figures in words', () => {
  it('lengths of time', () => {
    expect([0.4, 35, 60, 125, 60 * 50].map(duration)).toEqual([
      '0 min',
      '35 min',
      '1 h',
      '2 h 05',
      '2 days 2 h',
    ]);
  });
  it('clock faces: minutes and seconds under an hour, then hours and minutes, never early', () => {
    expect(clockFace(18 * 60_000 + 5000)).toEqual({ face: '18:05', unit: 'min:s' });
    expect(clockFace(6 * 3_600_000 + 41 * 60_000 + 1000)).toEqual({ face: '6:42', unit: 'h:min' });
    expect(clockFace(-5).face).toBe('0:00');
  });
  it('amounts as a hand measures them', () => {
    const half = {
      whole: 11,
      fraction: '1/2' as const,
      unitId: 'metricCup',
      kind: 'unit' as const,
      massG: 300,
      offBy: 0,
    };
    expect(handText(half, [])).toBe('11 ½ cups');
    expect(handText({ ...half, whole: 0 }, [])).toBe('½ cup');
    expect(handText({ ...half, whole: 1, fraction: '' }, [])).toBe('1 cup');
    expect(handText({ ...half, unitId: 'm' }, [{ id: 'm', name: 'blue mug', volumeMl: 310 }])).toBe(
      '11 ½ × blue mug',
    );
  });
  it('reasons carry their figures', () => {
    expect(sayReason({ code: 'keep.cut.slowCooling', params: { hours: 10, days: 1 } })).toBe(
      '10 h between 60 °C and 21 °C: 1 day less.',
    );
    expect(sayReason({ code: 'keep.acid.shown.estimate', params: { pH: 2.87 } })).toContain('pH 2.87');
    expect(sayCode('no.such.code')).toBe('no.such.code');
    expect(num(-0.001, 1)).toBe('0.0');
  });
  it('messages of the schemas', () => {
    expect(sayField('between:8:80')).toBe('Between 8 and 80.');
    expect(sayField('name')).toContain('name');
    expect(sayField('Invalid type: Expected number')).toBe('Enter a number.');
    expect(sayField(undefined)).toBeUndefined();
  });
});

import {
  BOOK,
  type Burner,
  candidateOf,
  defaultChoices,
  EMPTY,
  EMPTY_KITCHEN,
  foldItem,
  type Kitchen,
  keepingOfMix,
  lifeOf,
  NO_LIMITS,
  type Pot,
  recordOf,
  SHIPPED_TABLES,
  type SolveInput,
  simulateBatch,
  solvePlan,
  suggestAdditions,
  surroundingsOf,
  temperatureSeriesOf,
  unwrap,
} from '@big-ladle/core';

const pot: Pot = {
  id: 'p',
  name: 'Pot',
  diameterCm: 30,
  heightCm: 24,
  material: 'enamel',
  lid: true,
  massG: null,
};
const burner: Burner = { id: 'b', name: 'Ring', kind: 'gas', powerW: 3000 };
const kitchen: Kitchen = { ...EMPTY_KITCHEN, pots: [pot], burners: [burner] };

/** Median of the mean time per call over some rounds, after warming up. */
function perCallMs(work: () => void, calls: number): number {
  for (let i = 0; i < calls; i++) work();
  const rounds = Array.from({ length: 9 }, () => {
    const began = performance.now();
    for (let i = 0; i < calls; i++) work();
    return (performance.now() - began) / calls;
  });
  return rounds.sort((a, b) => a - b)[4]!;
}

const row = (name: string, ms: number, aim: string) =>
  process.stdout.write(`${name.padEnd(46)} ${ms.toFixed(3)} ms  (aim ${aim})\n`);

/** Every drink by every method is many rows: the slowest is told, and where it was. */
const slowest = new Map<string, { ms: number; where: string }>();
const keep = (name: string, where: string, ms: number) => {
  const before = slowest.get(name);
  if (!before || ms > before.ms) slowest.set(name, { ms, where });
};
let pairs = 0;
let warm = false;
for (const recipe of BOOK) {
  for (const methodId of recipe.methods) {
    const input: SolveInput = {
      recipe,
      choices: defaultChoices(recipe, methodId),
      kitchen,
      tables: SHIPPED_TABLES,
      pot,
      burner,
      wish: { question: { kind: 'litres', litres: Math.min(9, recipe.basisL) }, fills: 1 },
    };
    const { program } = unwrap(solvePlan(input));
    const where = `${recipe.id}, ${methodId}`;
    pairs++;
    // The first calls of all meet a cold machine.
    if (!warm) for (let i = 0; i < 3000; i++) simulateBatch(program, kitchen, SHIPPED_TABLES);
    warm = true;
    keep(
      'simulate',
      where,
      perCallMs(() => simulateBatch(program, kitchen, SHIPPED_TABLES), 60),
    );
    keep(
      '  lean',
      where,
      perCallMs(() => simulateBatch(program, kitchen, SHIPPED_TABLES, { detail: 'lean' }), 60),
    );
    keep(
      'solve',
      where,
      perCallMs(() => void solvePlan(input), 10),
    );
    const full: SolveInput = { ...input, wish: { question: { kind: 'potFull' }, fills: 1 } };
    keep(
      '  pot full',
      where,
      perCallMs(() => void solvePlan(full), 5),
    );
  }
}
const AIMS: Record<string, string> = {
  simulate: 'under 1',
  '  lean': 'under 0.3',
  solve: 'under 10',
  '  pot full': 'under 10',
};
process.stdout.write(`slowest of ${pairs} drinks by method:\n`);
for (const [name, { ms, where }] of slowest) row(`${name.padEnd(11)} ${where}`, ms, AIMS[name] ?? '');

/** A balance with eight things that may be added, whole fruit among them. */
const brew = { ...EMPTY, waterG: 7880, otherSolublesG: 120, acidG: 40, alkaliMeq: 60 };
const candidates = [
  'sugar-white',
  'honey',
  'pineapple-juice',
  'lime',
  'lemon',
  'orange',
  'water',
  'cider-vinegar',
].flatMap((id) => candidateOf(id, SHIPPED_TABLES, EMPTY_KITCHEN) ?? []);
row(
  `suggest, ${candidates.length} candidates with whole fruit`,
  perCallMs(
    () =>
      void suggestAdditions(
        brew,
        { sweetPct: 8, sourGPerL: 6 },
        candidates,
        { ...NO_LIMITS, roomMl: 12_000, freeSugarGPerGlass: 30 },
        'leastAdded',
      ),
    5,
  ),
  'under 50',
);

/** A month of a fridge that is read every minute, and two hundred bottles that stood in it all the while. */
{
  const fromMs = 1_800_000_000_000;
  const minutes = 30 * 24 * 60;
  const readings = Array.from({ length: minutes }, (_, i) => ({
    atMs: fromMs + i * 60_000,
    value: 4.2 + 1.4 * Math.sin(i / 37) + (i % 9000 < 400 ? 7 : 0),
  }));
  const untilMs = fromMs + minutes * 60_000;
  const keeping = {
    ...keepingOfMix(
      [
        { id: 'lemon-juice', volumeMl: 300 },
        { id: 'honey', massG: 400 },
        { id: 'cider-vinegar', volumeMl: 300 },
      ],
      SHIPPED_TABLES,
      'sterilised',
    ).keeping,
    sealedDays: 60,
  };
  const bottles = Array.from({ length: 200 }, (_, i) => ({
    filledMs: fromMs,
    clockStartMs: fromMs,
    filledC: 5,
    volumeMl: 300 + i * 3,
    diameterCm: 6 + (i % 4),
    keeping,
  }));
  const log = foldItem(fromMs, []);
  row(
    'a month of readings, 200 bottles',
    perCallMs(() => {
      const around = surroundingsOf(
        kitchen,
        temperatureSeriesOf(recordOf(readings), kitchen.fridgeC, untilMs),
      );
      for (const bottle of bottles) lifeOf(bottle, log, around, untilMs);
    }, 3),
    'under 50',
  );
}

import { candidateOf, NO_LIMITS, suggestAdditions } from '@big-ladle/core/balance';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { type Burner, EMPTY_KITCHEN, type Kitchen, type Pot } from '@big-ladle/core/documents';
import { readText } from '@big-ladle/core/exchange';
import { keepingOfMix, lifeOf, recordOf, surroundingsOf, temperatureSeriesOf } from '@big-ladle/core/keeping';
import { EMPTY } from '@big-ladle/core/liquor';
import { foldItem } from '@big-ladle/core/log';
import { type SolveInput, solvePlan } from '@big-ladle/core/plan';
import { simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import { plantedProject } from '../../core/src/schedule/planted.fixtures.ts';
import { searchSchedule } from '../../core/src/schedule/search.ts';

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

/** The best of some rounds of the mean time per call: what else the machine does only adds to it. */
function perCallMs(work: () => void, calls: number): number {
  for (let i = 0; i < calls; i++) work();
  return Math.min(...Array.from({ length: ROUNDS }, () => meanMs(work, calls)));
}
const ROUNDS = 9;

function meanMs(work: () => void, calls: number): number {
  const began = performance.now();
  for (let i = 0; i < calls; i++) work();
  return (performance.now() - began) / calls;
}

const row = (name: string, ms: number, aim: string) =>
  process.stdout.write(`${name.padEnd(46)} ${ms.toFixed(3)} ms  (aim ${aim})\n`);

/** Every drink by every method. */
const MADE = BOOK.flatMap((recipe) =>
  recipe.methods.map((methodId) => {
    const input: SolveInput = {
      recipe,
      choices: defaultChoices(recipe, methodId),
      kitchen,
      tables: SHIPPED_TABLES,
      pot,
      burner,
      wish: { question: { kind: 'litres', litres: Math.min(9, recipe.basisL) }, fills: 1 },
    };
    const full: SolveInput = { ...input, wish: { question: { kind: 'potFull' }, fills: 1 } };
    return { where: `${recipe.id}, ${methodId}`, input, full, program: unwrap(solvePlan(input)).program };
  }),
);
type Made = (typeof MADE)[number];

/** One kind of work over all of them in turn, as a program runs that has been in use for a while: the slowest is told. */
function slowestOf(name: string, aim: string, work: (made: Made) => void, calls: number): Map<Made, number> {
  for (let i = 0; i < calls; i++) for (const made of MADE) work(made);
  const best = new Map(MADE.map((made) => [made, Number.POSITIVE_INFINITY]));
  for (let round = 0; round < ROUNDS; round++)
    for (const made of MADE)
      best.set(
        made,
        Math.min(
          best.get(made)!,
          meanMs(() => work(made), calls),
        ),
      );
  const [made, ms] = [...best].sort((a, b) => b[1] - a[1])[0]!;
  row(`${name.padEnd(11)} ${made.where}`, ms, aim);
  return best;
}

process.stdout.write(`slowest of ${MADE.length} drinks by method:\n`);
const lean = slowestOf(
  'lean',
  'under 0.6',
  ({ program }) => void simulateBatch(program, kitchen, SHIPPED_TABLES, { detail: 'lean' }),
  60,
);
const sum = (of: (made: Made) => number) => MADE.reduce((all, made) => all + of(made), 0);
row('  a step', sum((made) => lean.get(made)!) / sum((made) => made.program.steps.length), 'under 0.03');
slowestOf('simulate', 'under 1', ({ program }) => void simulateBatch(program, kitchen, SHIPPED_TABLES), 60);
slowestOf('solve', 'under 10', ({ input }) => void solvePlan(input), 8);
slowestOf('  pot full', 'under 10', ({ full }) => void solvePlan(full), 4);

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

{
  const kit = { system: 'metric' as const, measures: [], cupWeights: [] };
  const recipe = `Take 300 g of dried hibiscus and rinse it twice. Put it in a pot with 5 litres of cold water, two thumbs of ginger, sliced, and six cloves. Bring it to the boil and simmer it for 15 to 20 minutes with the lid on. Leave it overnight. Strain it through a sieve and then through a cloth, and squeeze well. Stir in 400 g of sugar until it is gone, and the juice of four limes. `;
  const words = recipe.split(/\s+/).length;
  const long = recipe.repeat(Math.ceil(3000 / words));
  row(
    'a text of 3,000 words read',
    perCallMs(() => readText(long, SHIPPED_TABLES, kit), 3),
    'under 50',
  );
  for (const [name, piece] of [
    ['digits', '1234567890 '],
    ['brackets', '((((((((((('],
    ['nested amounts', '2 x (3 x (4 '],
    ['one long word', 'abcdefghijk'],
  ] as const) {
    const text = piece.repeat(Math.ceil(50_000 / piece.length));
    row(
      `50 kB of ${name} read`,
      perCallMs(() => readText(text, SHIPPED_TABLES, kit), 2),
      'under 200',
    );
  }
}

{
  // From an empty timetable to the first one that is whole: six drinks, 120 jobs.
  const firsts = Array.from({ length: 15 }, (_, i) => {
    const project = plantedProject(7919 * (i + 1));
    const began = performance.now();
    let first: number | null = null;
    searchSchedule(project, {
      seed: 0.5,
      over: () => first !== null || performance.now() - began > 3000,
      onBest: (s) => {
        if (s.missing.length === 0) first ??= performance.now() - began;
      },
    });
    return first ?? 3000;
  }).sort((a, b) => a - b);
  row('120 jobs, first timetable, half of them within', firsts[7]!, 'under 500');
  row('120 jobs, first timetable, the slowest of 15', firsts[14]!, 'under 500');
}

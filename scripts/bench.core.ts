import {
  BOOK,
  type Burner,
  defaultChoices,
  EMPTY_KITCHEN,
  type Kitchen,
  type Pot,
  SHIPPED_TABLES,
  type SolveInput,
  simulateBatch,
  solvePlan,
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

for (const recipe of BOOK) {
  for (const methodId of recipe.methods) {
    const input: SolveInput = {
      recipe,
      choices: defaultChoices(recipe, methodId),
      kitchen,
      tables: SHIPPED_TABLES,
      pot,
      burner,
      wish: { question: { kind: 'litres', litres: 9 }, fills: 1 },
    };
    const { program } = unwrap(solvePlan(input));
    const name = `${recipe.id}, ${methodId}`;
    row(
      `simulate  ${name}`,
      perCallMs(() => simulateBatch(program, kitchen, SHIPPED_TABLES), 500),
      'under 1',
    );
    row(
      `  lean    ${name}`,
      perCallMs(() => simulateBatch(program, kitchen, SHIPPED_TABLES, { detail: 'lean' }), 500),
      'under 0.3',
    );
    row(
      `solve     ${name}`,
      perCallMs(() => void solvePlan(input), 60),
      'under 10',
    );
    const full: SolveInput = { ...input, wish: { question: { kind: 'potFull' }, fills: 1 } };
    row(
      `  pot full ${name}`,
      perCallMs(() => void solvePlan(full), 30),
      'under 10',
    );
  }
}

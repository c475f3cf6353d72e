/** `npm run book`: every drink of the book by every method it suits, at 5 and at 15 litres, as a table in docs/book.md. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { EMPTY_KITCHEN, type Kitchen, type Pot } from '@big-ladle/core/documents';
import { keepingOf } from '@big-ladle/core/keeping';
import { brix, phOf, sournessGPerL, volumeMl } from '@big-ladle/core/liquor';
import { solvePlan } from '@big-ladle/core/plan';
import { BOTTLES, simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';

const pot = (id: string, diameterCm: number, heightCm: number): Pot => ({
  id,
  name: id,
  diameterCm,
  heightCm,
  material: 'stainless',
  lid: true,
  massG: null,
});
/** A kitchen with a pot for every size; the smallest that takes the batch is used. */
const POTS = [pot('pan', 18, 12), pot('small', 24, 18), pot('middle', 30, 24), pot('large', 36, 30)];
export const TABLE_KITCHEN: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: POTS,
  burners: [
    { id: 'big', name: 'Big ring', kind: 'gas', powerW: 3000 },
    { id: 'small', name: 'Small ring', kind: 'gas', powerW: 1800 },
  ],
  fridgeFreeL: 60,
};

export interface BookRow {
  recipeId: string;
  methodId: string;
  wishL: number;
  pot: string;
  fullPct: number;
  litres: number;
  hours: number;
  brix: number;
  taGPerL: number;
  pH: number | null;
  sealedDays: number;
  verdict: string;
}

export function bookRows(): BookRow[] {
  const rows: BookRow[] = [];
  for (const recipe of BOOK) {
    for (const methodId of recipe.methods) {
      for (const litres of [5, 15]) {
        for (const p of POTS) {
          const solved = solvePlan({
            recipe,
            choices: defaultChoices(recipe, methodId),
            kitchen: TABLE_KITCHEN,
            tables: SHIPPED_TABLES,
            pot: p,
            burner: TABLE_KITCHEN.burners[0]!,
            wish: { question: { kind: 'litres', litres }, fills: 1 },
          });
          if (!solved.ok) continue;
          const sim = simulateBatch(solved.value.program, TABLE_KITCHEN, SHIPPED_TABLES);
          const { liquor } = sim.vessels[BOTTLES]!;
          const pH = phOf(liquor);
          const keeping = keepingOf({ liquor, hygiene: 'sterilised' });
          rows.push({
            recipeId: recipe.id,
            methodId,
            wishL: litres,
            pot: p.id,
            fullPct: solved.value.potShare * 92,
            litres: volumeMl(liquor) / 1000,
            hours: sim.endMin / 60,
            brix: brix(liquor),
            taGPerL: sournessGPerL(liquor),
            pH: pH.kind === 'estimate' ? pH.pH : null,
            sealedDays: keeping.sealedDays,
            verdict: keeping.verdict,
          });
          break;
        }
      }
    }
  }
  return rows;
}

export function bookTable(): string {
  const lines = bookRows().map(
    (r) =>
      `| ${r.recipeId} | ${r.methodId} | ${r.wishL} | ${r.pot} | ${r.fullPct.toFixed(0)} | ${r.litres.toFixed(2)} | ${r.hours.toFixed(1)} | ${r.brix.toFixed(1)} | ${r.taGPerL.toFixed(1)} | ${r.pH === null ? '–' : r.pH.toFixed(2)} | ${r.sealedDays} |`,
  );
  return [
    '# The book in figures',
    '',
    'Made by `npm run book`; a test checks that it is true. Each drink by each method it suits, at 5 and at 15 litres, in the',
    'smallest pot that takes it: how full the pot stands with its foam (at most 92 %), what comes out, hours from start to',
    'bottles, °Bx, sourness as citric, the pH estimate, and days sealed in sterilised bottles.',
    '',
    '| drink | method | L | pot | full % | out L | h | °Bx | g/L | pH | days |',
    '| --- | --- | --: | --- | --: | --: | --: | --: | --: | --: | --: |',
    ...lines,
    '',
  ].join('\n');
}

if (process.argv[1]?.endsWith('bookTable.ts')) {
  const file = path.resolve(import.meta.dirname, '../docs/book.md');
  writeFileSync(file, bookTable());
  process.stdout.write(`${file}\n`);
}

/**
 * How well the texts of the corpus are read: `npm run read:score`, with `-- ID …` the misses of some texts,
 * with `-- --misses` those of all.
 */
import { CORPUS } from '../core/src/exchange/corpus/index.ts';
import { FACT_KINDS, type Outcome, scoreOf, type Verdict } from '../core/src/exchange/corpus/score.ts';
import { readText } from '../core/src/exchange/reading/read.ts';
import { SHIPPED_TABLES } from '../core/src/tables/index.ts';

const OUTCOMES: readonly Outcome[] = ['right', 'unsure', 'wrong', 'lost'];
const wanted = process.argv.slice(2).filter((a) => !a.startsWith('--'));
const withMisses = process.argv.includes('--misses') || wanted.length > 0;

const share = (n: number, of: number): string => `${of ? ((100 * n) / of).toFixed(1) : '0.0'} %`.padStart(8);
const row = (name: string, verdicts: readonly Verdict[]): string =>
  name.padEnd(16) +
  String(verdicts.length).padStart(6) +
  OUTCOMES.map((o) => share(verdicts.filter((v) => v.outcome === o).length, verdicts.length)).join('');

const scored = CORPUS.filter((t) => !wanted.length || wanted.some((w) => t.id.startsWith(w))).map((text) => ({
  text,
  verdicts: scoreOf(
    text,
    readText(text.text, SHIPPED_TABLES, { system: text.system, measures: [], cupWeights: [] }),
    SHIPPED_TABLES,
  ),
}));
if (withMisses)
  for (const { text, verdicts } of scored) {
    console.log(`\n${text.id}`);
    for (const v of verdicts)
      if (v.outcome !== 'right') console.log(`  ${v.outcome.padEnd(7)} ${v.kind.padEnd(7)} ${v.about}`);
  }
const all = scored.flatMap((s) => s.verdicts);
console.log(`\n${'facts'.padEnd(16)}${'of'.padStart(6)}${OUTCOMES.map((o) => o.padStart(8)).join('')}`);
for (const kind of FACT_KINDS)
  console.log(
    row(
      kind,
      all.filter((v) => v.kind === kind),
    ),
  );
for (const { text, verdicts } of scored)
  if (wanted.length || process.argv.includes('--texts')) console.log(row(text.id, verdicts));
for (const manner of new Set(scored.map((s) => s.text.manner)))
  console.log(
    row(
      manner,
      scored.filter((s) => s.text.manner === manner).flatMap((s) => s.verdicts),
    ),
  );
console.log(
  row(
    'clean',
    scored.filter((s) => !s.text.messy).flatMap((s) => s.verdicts),
  ),
);
console.log(
  row(
    'messy',
    scored.filter((s) => s.text.messy).flatMap((s) => s.verdicts),
  ),
);

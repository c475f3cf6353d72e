import type { LineId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation, TraceEntry } from '../program/model/simulation.ts';
import { rowOf } from '../program/model/tags.ts';
import { CITRUS_AROMA } from '../tables/constants.ts';
import { FRUIT_ROWS } from '../tables/fruits.ts';
import type { Tables } from '../tables/types.ts';

/** What boiling does to a citrus of a drink, and what it would be if it went in late. */
export interface CitrusMoment {
  lineId: LineId;
  itemId: string;
  /** Minutes at the boil with it in the pot. */
  boilMin: number;
  /** Share of its fresh smell that is left: so, in the last minutes of the boil, and stirred in when it is cool. */
  freshLeft: number;
  lateFreshLeft: number;
  /** Its pith and pips turn bitter after so many minutes; null: it has none in the pot. */
  bitterAfterMin: number | null;
  isBitter: boolean;
}

const isIn = (entry: TraceEntry, lineId: LineId): boolean =>
  entry.before.liquor.origins.some((o) => o.lineId === lineId);
const liesIn = (entry: TraceEntry, lineId: LineId): boolean =>
  entry.before.solids.some((s) => s.lineId === lineId);

const freshAfter = (minutes: number): number => 0.5 ** (minutes / CITRUS_AROMA.halfMin);

/** The soonest that something of a fruit turns bitter, where it lies in the pot with its pith. */
function bitterAfter(itemId: string, tables: Tables): number | null {
  const traits = rowOf(tables, itemId)?.traits ?? [];
  if (!traits.includes('pith')) return null;
  const bitter = FRUIT_ROWS.find((f) => f.parts.some((p) => p.itemId === itemId))?.bitter ?? [];
  const minutes = bitter
    .filter((b) => b.part === 'pith' || traits.includes('bitterPips'))
    .map((b) => b.afterMin);
  return minutes.length > 0 ? Math.min(...minutes) : null;
}

/** Cooked citrus against late citrus, in figures: for each that is boiled. */
export function citrusMoments(
  program: Pick<Program, 'lines'>,
  sim: Pick<Simulation, 'trace'>,
  tables: Tables,
): CitrusMoment[] {
  const boils = sim.trace.filter((t) => t.kind === 'boil');
  return program.lines.flatMap((line): CitrusMoment[] => {
    if (!rowOf(tables, line.itemId)?.traits.includes('citrus')) return [];
    const minutesOf = (entries: readonly TraceEntry[]) =>
      entries.reduce((sum, t) => sum + t.endMin - t.startMin, 0);
    const boilMin = minutesOf(boils.filter((t) => isIn(t, line.id)));
    if (boilMin <= 0) return [];
    const bitterAfterMin = bitterAfter(line.itemId, tables);
    const lyingMin = minutesOf(boils.filter((t) => liesIn(t, line.id)));
    return [
      {
        lineId: line.id,
        itemId: line.itemId,
        boilMin,
        freshLeft: freshAfter(boilMin),
        lateFreshLeft: freshAfter(Math.min(boilMin, CITRUS_AROMA.lastMin)),
        bitterAfterMin,
        isBitter: bitterAfterMin !== null && lyingMin > bitterAfterMin,
      },
    ];
  });
}

import type { Liquor } from '../../program/model/liquor.ts';
import type { PlannedProgram, ProgramLine } from '../../program/model/program.ts';
import type { StepActual } from '../../program/model/simulation.ts';
import type { Step } from '../../program/model/steps.ts';
import { simulateBatch } from '../../program/simulate/simulate.ts';
import { SHIPPED_TABLES } from '../../tables/index.ts';
import type { Tables } from '../../tables/types.ts';
import { KITCHEN, programOf } from '../../testKitchen.ts';
import { type Keeping, keepingOf } from '../shelfLife.ts';

/** Pieces of which the courses worked out by hand are made: peel in water is mild, calyx is sour. */

export const water = (litres: number): Partial<ProgramLine> => ({
  id: 'water',
  kind: 'liquid',
  itemId: 'water',
  massG: litres * 998.2,
});
export const solid = (id: string, itemId: string, massG: number): Partial<ProgramLine> => ({
  id,
  kind: 'solid',
  itemId,
  massG,
});
export const timed = (minutes: number) => ({ kind: 'duration' as const, minutes });
export type Bare = Partial<Step> & { kind: Step['kind'] };
export const COMBINE = (...lines: string[]): Bare => ({ kind: 'combine', lines, until: timed(2) }) as Bare;
export const HEAT: Bare = {
  kind: 'heat',
  burnerId: 'gas',
  lid: 'on',
  until: { kind: 'temp', targetC: null },
} as unknown as Bare;
export const BOIL = (minutes: number, lid = 'on'): Bare =>
  ({ kind: 'boil', burnerId: 'gas', level: 'gentle', lid, until: timed(minutes) }) as unknown as Bare;
export const STAND = (kind: 'soak' | 'steep', hours: number, place = 'counter'): Bare =>
  ({ kind, place, lid: 'on', until: timed(hours * 60) }) as unknown as Bare;
export const STRAIN: Bare = {
  kind: 'strain',
  from: ['pot'],
  to: ['tub'],
  press: 'press',
  cloth: false,
  keepSolids: false,
  until: timed(5),
} as unknown as Bare;
export const COOL = (place: string, minutes: number, at = 'tub'): Bare =>
  ({ kind: 'cool', from: [at], to: [at], place, lid: 'off', until: timed(minutes) }) as unknown as Bare;
export const MIX = (minutes: number, ...lines: string[]): Bare =>
  ({ kind: 'mix', from: ['tub'], to: ['tub'], lines, until: timed(minutes) }) as unknown as Bare;
export const BOTTLE: Bare = {
  kind: 'bottle',
  from: ['tub'],
  to: ['bottles'],
  hygiene: 'sterilised',
  until: timed(5),
} as unknown as Bare;

export const PEEL = [water(5), solid('peel', 'orange-peel', 100)];
export const CALYX = [water(5), solid('calyx', 'hibiscus-dried', 150)];

export function run(
  lines: readonly Partial<ProgramLine>[],
  steps: readonly Bare[],
  actuals: Record<string, StepActual> = {},
  tables: Tables = SHIPPED_TABLES,
): Liquor {
  const program: PlannedProgram = programOf(lines, steps);
  const sim = simulateBatch(program, KITCHEN, tables, { actuals, detail: 'lean' });
  if (sim.problem) throw new Error(JSON.stringify(sim.problem));
  return sim.vessels.bottles!.liquor;
}
export const kept = (...args: Parameters<typeof run>): Keeping =>
  keepingOf({ liquor: run(...args), hygiene: 'sterilised' });
export const quiet = { adjustments: [] };
export const read = (pH: number, vesselId: string, atMin: number): StepActual => ({
  adjustments: [
    { kind: 'measured', atMin, vesselId, reading: { what: 'pH', pH, by: 'meter', calibrated: true } },
  ],
});
export const liquid = (id: string, itemId: string, massG: number): Partial<ProgramLine> => ({
  id,
  kind: 'liquid',
  itemId,
  massG,
});

import type { Program, ProgramLine, Simulation, Step } from '@big-ladle/core/program';
import { lineGrams } from './goesIn.ts';

/** What a step of a program does, in a line that two programs of one recipe have in common, and what goes in at it. */
export interface OutlineStep {
  key: string;
  massG: Record<string, number>;
}

const TAKES: ReadonlySet<Step['kind']> = new Set([
  'combine',
  'mix',
  'sweeten',
  'sour',
  'fortify',
  'soak',
  'blend',
]);
/** Ways of saying that something is put in: what is soured or sweetened by taste is stated in a text. */
const PUTS: ReadonlySet<Step['kind']> = new Set(['combine', 'mix', 'sour', 'fortify']);
const STANDS: ReadonlySet<Step['kind']> = new Set(['boil', 'soak', 'steep']);

/**
 * A program by what a cook would say of it. Left out: how long hands take, which follows from the litres; by which name a
 * part or a jar goes; and that two puttings in, one right after the other, are two.
 */
export function outline(program: Program, sim: Simulation): OutlineStep[] {
  const lots = new Map<string, string>();
  const lotName = (id: string) => {
    const lot = id.replace(/^(?:lot|bottles)-/, '');
    if (!lots.has(lot)) lots.set(lot, `lot ${lots.size + 1}`);
    return lots.get(lot)!;
  };
  const vessel = (id: string) => {
    if (id.startsWith('lot-') || id.startsWith('bottles-')) return lotName(id);
    return id.replace(/^jar-.*/, 'jug').replace(/^pot-\d+$/, 'pot');
  };
  const names = (ids: readonly string[]) => [...new Set(ids.map(vessel))].sort();
  const lineOf = (id: string) => program.lines.find((l) => l.id === id);
  const steps: (OutlineStep & { to?: string; from?: string[] })[] = [];
  for (const step of program.steps) {
    // What is done for each load of the pot, and how it is shared among pots, is no part of the recipe.
    if (step.fill > 1 || (step.kind === 'split' && vessel(step.to[0]!) === 'pot')) continue;
    const massG: Record<string, number> = {};
    for (const line of step.lines.map(lineOf)) {
      if (!line) continue;
      const mass = TAKES.has(step.kind) && !isLift(step) ? grams(program, sim, line) : 1;
      if (mass > 0) massG[line.itemId] = (massG[line.itemId] ?? 0) + mass;
    }
    const to = names(step.to).join('+');
    const from = names(step.from);
    if (PUTS.has(step.kind) && !isLift(step) && !isSkim(step)) {
      const poured = from.filter((v) => v !== 'bowl' && v !== to);
      const last = steps.at(-1);
      if (last?.to === to) {
        last.from = [...new Set([...last.from!, ...poured])].sort();
        for (const [itemId, mass] of Object.entries(massG))
          last.massG[itemId] = (last.massG[itemId] ?? 0) + mass;
      } else if (poured.length || Object.keys(massG).length)
        steps.push({ key: 'put', to, from: poured, massG });
      continue;
    }
    const handles = TAKES.has(step.kind) && !isLift(step) ? '' : Object.keys(massG).sort().join(',');
    steps.push({
      key: [kindOf(step), `${from.join('+')} > ${to}`, handles, ...saysOf(step)].join(' | '),
      massG,
    });
  }
  return steps.map(({ key, massG, to, from }) => ({
    key: to === undefined ? key : `${key} ${from!.join('+')} > ${to}`,
    massG,
  }));
}

const grams = (program: Program, sim: Simulation, line: ProgramLine) => lineGrams({ program, sim }, line.id);
const isLift = (step: Step) => step.kind === 'combine' && step.lift === true;
const isSkim = (step: Step) => step.kind === 'mix' && step.skims === true;

function kindOf(step: Step): string {
  if (isLift(step)) return 'lift';
  if (isSkim(step)) return 'skim';
  if (step.kind === 'prep' && step.mill) return 'mill';
  return step.kind;
}

/** All that a step says but its times of handwork. */
function saysOf(step: Step): string[] {
  const { until } = step;
  const says: string[] = [];
  if (until.kind === 'duration' && STANDS.has(step.kind))
    says.push(
      [until.minutes, until.minMinutes, until.maxMinutes]
        .map((m) => Math.round(m ?? until.minutes))
        .join('/'),
    );
  if (until.kind === 'temp')
    says.push(until.targetC === null ? 'to the boil' : `to ${Math.round(until.targetC)}`);
  if (until.kind === 'down') says.push('down');
  if ('lid' in step && step.kind !== 'cool') says.push(`lid ${step.lid}`);
  if ('place' in step) says.push(step.place);
  if ('level' in step) says.push(step.level);
  if (step.kind === 'wash') says.push(`${step.rinses} times`);
  if (step.kind === 'juice') says.push(step.tool);
  if (step.kind === 'soak' && step.thrown) says.push('thrown');
  if (step.kind === 'steep') says.push(step.purpose ?? 'drawing');
  if (step.kind === 'steep' || step.kind === 'soak')
    says.push(
      `every ${step.everyMin ?? '-'}`,
      `or ${step.branch?.afterMin ?? '-'}/${step.branch?.boilMin ?? '-'}`,
    );
  if (step.kind === 'strain') {
    const passes = step.passes ?? [
      { by: 'sieve', times: 1 },
      ...(step.cloth ? [{ by: 'cloth', times: 1 }] : []),
    ];
    says.push(passes.map((p) => `${p.times} ${p.by}`).join('+'), step.press);
    says.push(step.keepSolids ? 'kept' : step.asideSolids ? 'aside' : 'thrown');
    says.push(`rinsed ${Math.round((step.rinseMl ?? 0) / 10)}`);
  }
  if (step.kind === 'split')
    says.push(step.volumeMl ? `${Math.round(step.volumeMl / 100)} dL` : step.share.toFixed(2));
  if (step.kind === 'bottle')
    says.push(step.hygiene, step.frozen ? `frozen ${step.portionMl ?? '-'}` : '', step.hot ? 'hot' : '');
  return says;
}

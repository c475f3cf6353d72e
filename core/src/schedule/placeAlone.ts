/**
 * One chain alone, with nobody's hands but its cook's: placed exactly in continuous time, without slots. The chain is what
 * it is among others (`placeChain`): stages that follow one another, each outside of the hours in which nobody is there,
 * with waits between them that are neither too short nor too long.
 */

/** From here to there, both included. */
export interface Span {
  from: number;
  to: number;
}

export interface LoneStage {
  long: number;
  /** What may lie between it and the next one; of the last one it is not asked. */
  wait: { least: number; most: number };
}

export interface LoneChain {
  stages: readonly LoneStage[];
  /** The first stage begins here at the earliest, the last one ends here at the latest. */
  earliest: number;
  latest: number;
}

/** To begin as late as it can, or to be done as soon as it can. */
export type Aim = 'latestStart' | 'soonestEnd';

/** What two sets of spans have in common; each in order and without overlaps. */
function common(a: readonly Span[], b: readonly Span[]): Span[] {
  const out: Span[] = [];
  let i = 0;
  let k = 0;
  while (i < a.length && k < b.length) {
    const from = Math.max(a[i]!.from, b[k]!.from);
    const to = Math.min(a[i]!.to, b[k]!.to);
    if (from <= to) out.push({ from, to });
    if (a[i]!.to < b[k]!.to) i++;
    else k++;
  }
  return out;
}

/** Spans in order, those that touch as one. */
function joined(spans: readonly Span[]): Span[] {
  const out: Span[] = [];
  for (const span of [...spans].sort((a, b) => a.from - b.from)) {
    const last = out.at(-1);
    if (last && span.from <= last.to) last.to = Math.max(last.to, span.to);
    else out.push({ ...span });
  }
  return out;
}

/** When each stage begins; null where the chain has no place. */
export function placeAlone(
  { stages, earliest, latest }: LoneChain,
  free: readonly Span[],
  aim: Aim,
): number[] | null {
  const within = joined(free);
  const begins = stages.map(({ long }) =>
    within.flatMap(({ from, to }) => (to - long >= from ? [{ from, to: to - long }] : [])),
  );
  const last = stages.length - 1;
  const bounds = stages.map((stage, i) => ({
    from: i === 0 ? earliest : Number.NEGATIVE_INFINITY,
    to: i === last ? latest - stage.long : Number.POSITIVE_INFINITY,
  }));
  const here = (i: number) => common(begins[i]!, [bounds[i]!]);
  /** Of each stage, where it can begin with a place for all those after it. */
  const onward: Span[][] = [];
  for (let i = last; i >= 0; i--) {
    const { long, wait } = stages[i]!;
    const next = onward[i + 1];
    const reaches = next?.map(({ from, to }) => ({
      from: from - long - wait.most,
      to: to - long - wait.least,
    }));
    onward[i] = reaches ? common(here(i), joined(reaches)) : here(i);
  }
  if (onward[0]!.length === 0) return null;
  if (aim === 'latestStart') return forward(stages, onward, onward[0]!.at(-1)!.to);
  /** Of each stage, where it can begin with a place for all those before it. */
  const before: Span[][] = [];
  for (const i of stages.keys()) {
    const { long, wait } = stages[i - 1] ?? { long: 0, wait: { least: 0, most: 0 } };
    const reached = before[i - 1]?.map(({ from, to }) => ({
      from: from + long + wait.least,
      to: to + long + wait.most,
    }));
    before[i] = reached ? common(here(i), joined(reached)) : here(i);
  }
  return backward(stages, before, before[last]![0]!.from);
}

/** From the start on, each stage as soon as it can be. */
function forward(stages: readonly LoneStage[], places: readonly Span[][], start: number): number[] {
  const at = [start];
  for (let i = 1; i < stages.length; i++) {
    const soonest = at[i - 1]! + stages[i - 1]!.long + stages[i - 1]!.wait.least;
    const span = places[i]!.find(({ to }) => to >= soonest)!;
    at.push(Math.max(soonest, span.from));
  }
  return at;
}

/** From the last stage back, each as late as it can be: nothing waits longer than it has to. */
function backward(stages: readonly LoneStage[], places: readonly Span[][], end: number): number[] {
  const at = new Array<number>(stages.length).fill(end);
  for (let i = stages.length - 2; i >= 0; i--) {
    const latest = at[i + 1]! - stages[i]!.long - stages[i]!.wait.least;
    const span = places[i]!.findLast(({ from }) => from <= latest)!;
    at[i] = Math.min(latest, span.to);
  }
  return at;
}

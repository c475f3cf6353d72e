import type { Step } from '../model/steps.ts';

export interface StepBuilder {
  steps: Step[];
  /** Adds a step; its id is its kind, its fill and, where there are more, its number. */
  add: <K extends Step['kind']>(
    kind: K,
    rest: Omit<Extract<Step, { kind: K }>, 'kind' | 'id' | 'fill'> & { fill?: number },
  ) => void;
}

export function stepBuilder(): StepBuilder {
  const steps: Step[] = [];
  return {
    steps,
    add: (kind, rest) => {
      const fill = rest.fill ?? 0;
      const id = fill > 0 ? `${kind}-${fill}` : kind;
      const taken = steps.filter((s) => s.id === id || s.id.startsWith(`${id}.`)).length;
      steps.push({ ...rest, kind, fill, id: taken ? `${id}.${taken + 1}` : id } as unknown as Step);
    },
  };
}

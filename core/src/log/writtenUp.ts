import type { PlannedProgram } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { MINUTE_MS } from '../units/time.ts';
import type { EventBody } from './events/table.ts';

/** What is said to have happened, and when. */
export interface DatedDeed {
  deed: EventBody;
  atMs: number;
}

/**
 * Steps that were done before anybody wrote them down: each took as long as the model says, and is marked as that, so
 * that nobody takes its minutes for read from a clock.
 * @param untilStepId the step that is on; null: all of it is done, to the last bottle.
 * @param filled what was filled into bottles, where it is done.
 * @returns the deeds in their order, the first of them that the first step was begun.
 */
export function writtenUp(
  program: PlannedProgram,
  sim: Pick<Simulation, 'trace'>,
  startMs: number,
  untilStepId: string | null,
  filled: Extract<EventBody, { kind: 'bottled' }>['body'] | null = null,
): DatedDeed[] {
  const { trace } = sim;
  const until = untilStepId === null ? trace.length : trace.findIndex((t) => t.stepId === untilStepId);
  const at = (min: number): number => Math.round(startMs + min * MINUTE_MS);
  return [
    { deed: { kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, atMs: at(0) },
    ...trace.slice(0, Math.max(0, until)).flatMap(({ stepId, endMin }): DatedDeed[] => {
      const ended: DatedDeed = {
        deed: { kind: 'stepEnded', body: { stepId, untimed: true } },
        atMs: at(endMin),
      };
      return filled?.stepId === stepId
        ? [{ deed: { kind: 'bottled', body: filled }, atMs: at(endMin) }, ended]
        : [ended];
    }),
  ];
}

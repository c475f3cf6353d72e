import type { Kitchen } from '@big-ladle/core/documents';
import type { Lanes } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import { sayItem } from '../../words/names.ts';
import { litres } from '../../words/quantities.ts';
import { duration, say } from '../../words/say.ts';
import { itemIdOf } from '../batch/liquorColour.ts';
import { stepAlone, stepName, vesselName } from '../batch/stepNames.ts';

/** Steps shorter than this are told without their minutes. */
const TOLD_FROM_MIN = 1;

/**
 * A step of the lanes as a short line: "Boil gently, 25 min".
 * @param onItsLane whose it is stands beside it already.
 */
export function laneStepText(lanes: Lanes, program: Program, stepId: string, onItsLane = false): string {
  const at = lanes.steps.find((s) => s.stepId === stepId);
  const step = program.steps.find((s) => s.id === stepId);
  if (!at || !step) return '';
  const minutes = at.endMin - at.startMin;
  const name = onItsLane ? stepAlone(step, program) : stepName(step, program);
  return minutes >= TOLD_FROM_MIN ? `${name}, ${duration(minutes)}` : name;
}

/** What the lanes show, in sentences: each step, where it stands then, what goes over and what is thrown away. */
export function laneSentences(lanes: Lanes, program: Program, kitchen: Kitchen): string[] {
  const nameOf = (vesselId: string) =>
    program.vessels.find((v) => v.id === vesselId)?.kind === 'bottles'
      ? say('lanes.bottles')
      : vesselName(program, kitchen, vesselId).toLowerCase();
  return lanes.steps.map((step) => {
    const span = lanes.lanes
      .find((l) => l.vesselId === step.vesselId)
      ?.spans.find((s) => s.stepId === step.stepId);
    const over = lanes.moves
      .filter((m) => m.stepId === step.stepId)
      .flatMap((m) => {
        const list = [...new Set(m.lineIds.map((id) => sayItem(itemIdOf(program)(id)).toLowerCase()))].join(
          ', ',
        );
        const to = m.to === null ? '' : nameOf(m.to);
        return [
          m.litres > 0.005
            ? m.to === null
              ? say('lanes.liquorThrown', { litres: litres(m.litres) })
              : say('lanes.over', { litres: litres(m.litres), to })
            : '',
          list
            ? m.to === null
              ? say('lanes.solidsThrown', { list })
              : say('lanes.solidsOver', { list, to })
            : '',
        ].filter(Boolean);
      });
    const stands =
      span && span.to.litres > 0.005
        ? [say('lanes.stands', { vessel: nameOf(step.vesselId), litres: litres(span.to.litres) })]
        : [];
    const told = [...over, ...stands, ...(step.overfull ? [say('lanes.tooFull')] : [])];
    const text = laneStepText(lanes, program, step.stepId);
    return told.length > 0 ? `${text}: ${told.join('; ')}.` : `${text}.`;
  });
}

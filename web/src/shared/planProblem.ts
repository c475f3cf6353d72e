import '../words/places/batch.ts';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import type { PlanProblem } from '@big-ladle/core/plan';
import { sayStepProblem } from '../words/coreWords.ts';
import { litres } from '../words/quantities.ts';
import { say } from '../words/say.ts';

/** Why a plan does not work out, and by how much. */
export function sayPlanProblem(plan: PlanDoc, problem: PlanProblem, kitchen: Kitchen): string {
  const pot = kitchen.pots.find((p) => p.id === plan.potId);
  const burner = kitchen.burners.find((b) => b.id === plan.burnerId);
  switch (problem.kind) {
    case 'potTooSmall':
      return say('problem.potTooSmall', {
        over: litres(problem.overL),
        pot: pot?.name ?? 'pot',
        fills: plan.beside
          ? say('planProblem.beside', { pots: plan.beside.length + 1 })
          : plan.fills === 1 || plan.fills === 'asNeeded'
            ? say('planProblem.oneFill')
            : say('planProblem.fills', { fills: plan.fills }),
        fits: litres(problem.fitsL),
      });
    case 'fridgeTooSmall':
      return say('problem.fridgeTooSmall', { wants: litres(problem.wantsL), free: litres(problem.freeL) });
    case 'tooLittle':
      return say('problem.tooLittle', { least: litres(problem.leastL) });
    case 'step':
      return sayStepProblem(problem.problem, { burner: burner?.name ?? 'ring' });
    default:
      return say(`problem.${problem.kind}`);
  }
}

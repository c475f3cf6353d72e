import type { Kitchen } from '../documents/kitchen.ts';
import type { StepId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';

/** Tools that a step may want and a kitchen may lack, each with another way of doing it. */
export const LACKING_TOOLS = ['blender', 'juicer'] as const;
export type LackingTool = (typeof LACKING_TOOLS)[number];

export interface MissingTool {
  stepId: StepId;
  tool: LackingTool;
}

/** What the steps of a program want that this kitchen does not have. */
export function missingTools(
  program: Pick<Program, 'steps'>,
  { tools }: Pick<Kitchen, 'tools'>,
): MissingTool[] {
  const noBlender = tools.blenderMl <= 0;
  return program.steps.flatMap((step): MissingTool[] => {
    const wants = step.kind === 'blend' ? 'blender' : step.kind === 'juice' ? step.tool : null;
    if (wants === 'blender' && noBlender) return [{ stepId: step.id, tool: 'blender' }];
    return wants === 'juicer' && !tools.juicer ? [{ stepId: step.id, tool: 'juicer' }] : [];
  });
}

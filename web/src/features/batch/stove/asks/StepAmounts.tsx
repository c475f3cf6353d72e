import '../../../../words/places/batch.ts';
import { isPot, type Step, shareOfLoad } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { lineAmount } from '../../../../shared/batch/lineAmount.ts';
import { role } from '../../../../theme/theme.ts';
import { sayWithCut } from '../../../../words/names.ts';
import { centimetres } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** What a step takes in hand or what goes in, each by hand measure and by weight, for this load of the pot. */
export function StepAmounts({ live, step }: { live: LiveBatch; step: Step }) {
  const { program, tables, kitchen } = live;
  const forecast = live.now.forecast.trace.find((t) => t.stepId === step.id);
  const dosedG = forecast?.dosedG ?? {};
  const levelCm = forecast?.now.levelCm ?? null;
  const share = shareOfLoad(program, step);
  const cutBefore = new Set(program.steps.flatMap((s) => (s.kind === 'prep' && !s.mill ? s.lines : [])));
  /** Where it is cut; where no step cuts it, where it goes in. */
  const tellsCut = (lineId: string): boolean =>
    step.kind === 'prep' ? !step.mill : !cutBefore.has(lineId) && step.kind === 'combine' && !step.lift;
  return (
    <Box
      component="ul"
      data-testid="amounts"
      sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.5 }}
    >
      {step.lines.map((lineId) => {
        const line = program.lines.find((l) => l.id === lineId);
        const massG = (line?.massG ?? 0) * share || (dosedG[lineId] ?? 0);
        const { hand, scale } = lineAmount(line?.itemId ?? lineId, massG, kitchen, tables);
        return (
          <li key={lineId}>
            <strong>{hand}</strong>{' '}
            {sayWithCut(line?.itemId ?? lineId, tellsCut(lineId) ? line?.cut : undefined)}
            {hand !== scale && (
              <Box component="span" sx={{ color: role('inkMuted') }}>
                , {scale}
              </Box>
            )}
          </li>
        );
      })}
      {step.kind === 'combine' && isPot(step.to[0] ?? '') && levelCm !== null && !step.lift && (
        <li>{say('stovePage.itShouldStandAt', { levelCm: centimetres(levelCm) })}</li>
      )}
    </Box>
  );
}

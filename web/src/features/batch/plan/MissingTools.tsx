import '../../../words/places/batch.ts';
import { missingTools } from '@big-ladle/core/compare';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Program } from '@big-ladle/core/program';
import Alert from '@mui/material/Alert';
import { memo } from 'react';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { say } from '../../../words/say.ts';

/** What a plan wants that this kitchen does not have, with the other way and what it costs. */
export const MissingTools = memo(function MissingTools({
  program,
  kitchen,
}: {
  program: Program;
  kitchen: Kitchen;
}) {
  const missing = missingTools(program, kitchen);
  if (missing.length === 0) return null;
  return (
    <Alert severity="info" sx={{ mb: 1.5 }} data-testid="missing-tools">
      {[...new Set(missing.map((m) => m.tool))].map((tool) => (
        <div key={tool}>
          {say(`missingTools.${tool}`, {
            steps: missing
              .filter((m) => m.tool === tool)
              .map((m) => stepName(program.steps.find((s) => s.id === m.stepId)!, program).toLowerCase())
              .join(', '),
          })}
        </div>
      ))}
    </Alert>
  );
});

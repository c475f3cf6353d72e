import '../../../words/places/batch.ts';
import { bowlsOf } from '@big-ladle/core/compare';
import Box from '@mui/material/Box';
import { itemIdOf } from '../../../shared/batch/liquorColour.ts';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { percent, say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import { lengthText, stageOf } from './figures.ts';
import type { PanelInput } from './input.ts';

export function WashPanel({ program, sim, kitchen, tables }: PanelInput) {
  const washedOut = Math.max(0, ...Object.values(sim.trace.find((t) => t.kind === 'wash')?.drawn ?? {}));
  return (
    <Panel title={say('panels.washAndCut')}>
      {program.steps
        .filter((s) => stageOf(program, s) === 'wash')
        .map((step) => {
          const entry = sim.trace.find((t) => t.stepId === step.id);
          return (
            <Row
              key={step.id}
              label={`${stepName(step, program)}: ${step.lines.map((id) => sayItem(itemIdOf(program)(id)).toLowerCase()).join(', ')}`}
              note={
                step.kind === 'wash'
                  ? say('panels.rinsesInBowls', {
                      rinses: num(step.rinses),
                      bowls: bowlsOf(step, program, kitchen, tables),
                    })
                  : ''
              }
            >
              {lengthText(entry)}
            </Row>
          );
        })}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
        {washedOut > 0 && <>{say('panels.coldRinsesTakeAbout', { washedOut: percent(washedOut) })}</>}
      </Box>
    </Panel>
  );
}

import '../../../words/places/batch.ts';
import { TUB } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { colours } from '../../../shared/batch/liquorColour.ts';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { Spoon } from '../../../shared/drawings/Spoon.tsx';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayNote } from '../../../words/coreWords.ts';
import { sayItem } from '../../../words/names.ts';
import { percent, say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import { CitrusCooked } from './CitrusCooked.tsx';
import { FurtherHours } from './FurtherHours.tsx';
import { entryOf, lengthText, stageOf } from './figures.ts';
import type { PanelInput } from './input.ts';

/** What the drawing gives and costs. */
export function DrawPanel(input: PanelInput) {
  const { program, sim, tables } = input;
  // Each solid at the last moment it was in a vessel.
  const drawn: Record<string, number> = Object.assign({}, ...sim.trace.map((t) => t.drawn));
  const solids = program.lines.filter((l) => l.kind === 'solid');
  const notes = sim.trace
    .filter((t) => t.kind === 'heat' || t.kind === 'boil' || t.kind === 'cool')
    .flatMap((t) => t.notes);
  const seen = new Set<string>();
  const look = colours(
    sim.trace.findLast((t) => t.kind === 'strain' && t.vesselId === TUB) ?? entryOf(sim, 'bottle'),
  );
  return (
    <Panel title={say('panels.draw')}>
      {program.steps
        .filter((s) => stageOf(program, s) === 'draw')
        .map((step) => (
          <Row key={step.id} label={stepName(step, program)}>
            {lengthText(sim.trace.find((t) => t.stepId === step.id))}
          </Row>
        ))}
      <Typography variant="h3" sx={{ mt: 2 }}>
        {say('panels.drawnFromThePlants')}
      </Typography>
      {solids.map((line) => {
        const row = tables.ingredients.get(line.itemId);
        const share = drawn[line.id];
        return (
          <Row key={line.id} label={sayItem(line.itemId)}>
            {row?.rate100PerMin === null || share === undefined ? say('panels.notModelled') : percent(share)}
          </Row>
        );
      })}
      <Box sx={{ mt: 1.5 }}>
        <Spoon {...look} label={say('panels.expectedColourStrainedIn')} />
      </Box>
      <CitrusCooked {...input} />
      <FurtherHours {...input} />
      {notes.map((note) => {
        const text = sayNote(note);
        if (seen.has(text)) return null;
        seen.add(text);
        return (
          <Box
            key={text}
            sx={{ mt: 0.5, color: note.code.startsWith('boil') ? role('caution') : role('inkMuted') }}
          >
            {text}
          </Box>
        );
      })}
    </Panel>
  );
}

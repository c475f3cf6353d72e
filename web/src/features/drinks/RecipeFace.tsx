import '../../words/places/drinks.ts';
import type { Kitchen, Recipe } from '@big-ladle/core/documents';
import { inGlassOf } from '@big-ladle/core/liquor';
import { lanesOf } from '@big-ladle/core/plan';
import { finishedLiquor } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { DrinkDrawing } from '../../shared/drawings/DrinkDrawing.tsx';
import { LaneDrawing } from '../../shared/lanes/LaneDrawing.tsx';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import type { Made } from './useMade.ts';

/** A drink at a glance: its way as a band of litres, and what it ends in, in a glass of its own. */
export function RecipeFace(props: { recipe: Recipe; made: Made; kitchen: Kitchen; tables: Tables }) {
  const { recipe, made, kitchen, tables } = props;
  const lanes = useMemo(() => lanesOf(made.program, made.sim, tables), [made, tables]);
  const liquor = finishedLiquor(made.sim);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) 264px' },
        gap: 1.75,
        alignItems: 'end',
        mb: 1.75,
      }}
    >
      <Panel label={say('lanes.title')}>
        <LaneDrawing lanes={lanes} program={made.program} kitchen={kitchen} />
      </Panel>
      {liquor && (
        <Box
          sx={{
            // On a phone what it is comes before how it is made.
            order: { xs: -1, md: 0 },
            borderBottom: `4px solid ${role('rim')}`,
            display: 'flex',
            justifyContent: 'center',
          }}
        >
          <DrinkDrawing recipe={recipe} inGlass={inGlassOf(liquor)} tables={tables} height={190} />
        </Box>
      )}
    </Box>
  );
}

import '../../../words/places/drinks.ts';
import type { Kitchen, Recipe } from '@big-ladle/core/documents';
import { inGlassOf } from '@big-ladle/core/liquor';
import { bandOf, lanesOf } from '@big-ladle/core/plan';
import { finishedLiquor } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type ReactNode, useMemo } from 'react';
import { DrinkDrawing } from '../../../shared/drawings/DrinkDrawing.tsx';
import { Fold } from '../../../shared/Fold.tsx';
import { LaneDrawing } from '../../../shared/lanes/LaneDrawing.tsx';
import { BandDrawing, POUR } from '../../../shared/recipeSheet/BandDrawing.tsx';
import { BAND } from '../../../shared/recipeSheet/bandGeometry.ts';
import { daysKept } from '../../../shared/recipeSheet/daysKept.ts';
import { Figure, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { days, say } from '../../../words/say.ts';
import type { Made } from '../useMade.ts';

const GLASS_PX = 210;
/** Between panels, px. */
const GAP = 14;

/** A drink at a glance: its way as a band that pours into a glass of its own; what goes in and what to do beside it. */
export function RecipeFace(props: {
  recipe: Recipe;
  made: Made;
  kitchen: Kitchen;
  tables: Tables;
  /** What goes in, and what to do. */
  children: ReactNode;
}) {
  const { recipe, made, kitchen, tables } = props;
  const wide = useMediaQuery('(min-width: 1100px)');
  const lanes = useMemo(() => lanesOf(made.program, made.sim, tables), [made, tables]);
  const band = useMemo(() => bandOf(lanes), [lanes]);
  const liquor = finishedLiquor(made.sim);
  const keeps = useMemo(() => daysKept(made, kitchen), [made, kitchen]);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: wide ? `minmax(0,1fr) minmax(0,1fr) ${POUR.width}px` : 'minmax(0,1fr)',
        gap: `${GAP}px`,
        alignItems: 'start',
        mb: 1.75,
      }}
    >
      <Box sx={{ gridColumn: wide ? '1 / 3' : undefined, minWidth: 0 }}>
        <BandDrawing spans={band} program={made.program} pours={wide && liquor !== null} />
      </Box>
      {liquor && (
        <Box
          sx={{
            gridColumn: wide ? 3 : undefined,
            gridRow: wide ? '1 / 3' : undefined,
            // On a phone what it is comes before how it is made.
            order: wide ? 0 : -1,
            minWidth: 0,
          }}
        >
          <Box
            sx={{
              pt: wide ? `${BAND.foot}px` : 0,
              borderBottom: `4px solid ${role('rim')}`,
              display: 'flex',
              justifyContent: 'center',
            }}
          >
            <DrinkDrawing recipe={recipe} inGlass={inGlassOf(liquor)} tables={tables} height={GLASS_PX} />
          </Box>
          {keeps !== null && (
            <Panel label={say('recipeFace.drinkWithin')} sx={{ borderTop: 0, borderRadius: '0 0 14px 14px' }}>
              <Box sx={{ color: role('inkMuted') }}>{say('recipeFace.drinkWithin')}</Box>
              <Figure value={days(keeps)} size="1.9rem" term="keeps" />
              <Box sx={{ color: role('inkMuted') }}>{say('recipeFace.cold')}</Box>
            </Panel>
          )}
        </Box>
      )}
      {props.children}
      <Box sx={{ gridColumn: wide ? '1 / 3' : undefined, minWidth: 0 }}>
        <Panel label={say('lanes.title')}>
          <Fold summary={say('recipeFace.vessels')} testId="vessels">
            <LaneDrawing lanes={lanes} program={made.program} kitchen={kitchen} />
          </Fold>
        </Panel>
      </Box>
    </Box>
  );
}

import '../../words/places/drinks.ts';
import type { Kitchen, Recipe, RecipeStep } from '@big-ladle/core/documents';
import { lanesOf } from '@big-ladle/core/plan';
import type { Tables } from '@big-ladle/core/tables';
import { arrayMove } from '@dnd-kit/sortable';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { LaneDrawing } from '../../shared/lanes/LaneDrawing.tsx';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { LaneTaps } from './LaneTaps.tsx';
import { idOfStep } from './StepCard.tsx';
import type { Made } from './useMade.ts';

/** The lanes of a recipe that is being written: a step is tapped to be written, dragged to be moved. */
export function WayOfIt(props: {
  /** Null: as it is written it cannot be made. */
  made: Made | null;
  recipe: Recipe;
  kitchen: Kitchen;
  tables: Tables;
  onChange: (steps: RecipeStep[]) => void;
  onFold: () => void;
}) {
  const { recipe, kitchen, tables } = props;
  // While it cannot be made, the lanes stay as they were: what was moved can be moved back.
  const [made, setMade] = useState(props.made);
  if (props.made && props.made !== made) setMade(props.made);
  const [chosen, setChosen] = useState<string | null>(null);
  const lanes = useMemo(() => (made ? lanesOf(made.program, made.sim, tables) : null), [made, tables]);
  const steps = [...(recipe.steps ?? [])];
  return (
    <Box sx={{ mb: 1.75 }}>
      <Panel
        title={say('lanes.title')}
        aside={
          <Button size="small" onClick={props.onFold}>
            {say('editorPage.lanesFold')}
          </Button>
        }
      >
        {!props.made && (
          <Alert severity="warning" sx={{ mb: 1 }} data-testid="lanes-stuck">
            {say('editorPage.lanesStuck')}
          </Alert>
        )}
        {lanes && made && (
          <LaneDrawing
            lanes={lanes}
            program={made.program}
            kitchen={kitchen}
            over={(geometry, height) => (
              <LaneTaps
                geometry={geometry}
                height={height}
                lanes={lanes}
                program={made.program}
                chosen={chosen}
                onPick={(id) => {
                  setChosen(id);
                  const card = document.getElementById(idOfStep(id));
                  card?.scrollIntoView({ block: 'nearest' });
                  card?.focus({ preventScroll: true });
                }}
                onMove={(id, toPlaceOf) => {
                  const from = steps.findIndex((s) => s.id === id);
                  const to = steps.findIndex((s) => s.id === toPlaceOf);
                  if (from >= 0 && to >= 0) props.onChange(arrayMove(steps, from, to));
                }}
              />
            )}
          />
        )}
        {lanes && (
          <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem' }}>{say('editorPage.moveHelp')}</Box>
        )}
      </Panel>
    </Box>
  );
}

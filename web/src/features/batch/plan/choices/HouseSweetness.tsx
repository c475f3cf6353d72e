import { endsAt } from '@big-ladle/core/learn';
import '../../../../words/places/batch.ts';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useKitchen } from '../../../../shared/queries.ts';
import { num } from '../../../../words/numbers.ts';
import { percent, say } from '../../../../words/say.ts';

/** Chosen nearer than this it is chosen, g in 100 g. */
const SAME_PCT = 0.15;

/** Where this house ends when it aims as the recipe does, by its own batches; taken with one tap. */
export function HouseSweetness(props: {
  recipePct: number;
  chosenPct: number;
  onTake: (pct: number) => void;
}) {
  const { recipePct, chosenPct, onTake } = props;
  const ends = endsAt(recipePct, useKitchen().data?.kitchen.learnt, SHIPPED_TABLES);
  if (!ends) return null;
  const about = { figure: percent(Math.abs(ends.share)) };
  return (
    <Box
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', mt: 1.5 }}
      data-testid="house-sweet"
    >
      <Link to="/logbook/learnt">
        {say(ends.share > 0 ? 'stageChoices.endsSweeter' : 'stageChoices.endsLessSweet', about)}
      </Link>
      {Math.abs(chosenPct - ends.pct) > SAME_PCT && (
        <Button variant="outlined" onClick={() => onTake(ends.pct)}>
          {say('stageChoices.aimThere', { pct: num(ends.pct, 1) })}
        </Button>
      )}
    </Box>
  );
}

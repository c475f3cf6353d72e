import '../../../words/places/gatherings.ts';
import type { GatheringDoc } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { useGatherings } from '../../../shared/gatherings/list.ts';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { useKitchen } from '../../../shared/queries.ts';
import { Panel } from '../../../shared/ui.tsx';
import { litres } from '../../../words/quantities.ts';
import { fullDay, say } from '../../../words/say.ts';
import { useBatchesOf } from '../useBatchesOf.ts';

/** What was said of the gathering of the year before. */
export function LastTime({ gathering }: { gathering: GatheringDoc }) {
  const { data } = useGatherings();
  const kitchen = useKitchen();
  const last = data?.gatherings.find((g) => g.id === gathering.before);
  const { recipeOf } = useBatchesOf(last?.gathering);
  const answers = last?.gathering.answers;
  if (!last || !answers || !kitchen.data) return null;
  return (
    <Panel
      title={say('after.last')}
      testId="last-time"
      aside={
        <Link to={`/gatherings/${last.id}`}>
          {fullDay(last.gathering.servesAtMs, kitchen.data.kitchen.zone)}
        </Link>
      }
    >
      <Box>
        {say(`after.enough.${answers.enough}`)}
        {answers.drunkL !== null && `, ${litres(answers.drunkL)}`}
      </Box>
      {answers.ranOut.length > 0 && (
        <Box>
          {say('after.lastOut', {
            drinks: answers.ranOut.map((id) => sayFeastDrink({ recipeId: recipeOf(id) })).join(', '),
          })}
        </Box>
      )}
      {answers.change !== '' && <Box sx={{ whiteSpace: 'pre-line' }}>{answers.change}</Box>}
    </Panel>
  );
}

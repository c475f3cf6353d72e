import '../../../words/places/batch.ts';
import type { Batch } from '@big-ladle/core/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { tellError, useSend } from '../../../shared/send.ts';
import { PageHead, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';

/** A batch whose log cannot be folded: what it was, and what can be done with it. Nothing of it is changed. */
export function UnreadableBatch({ batch, why }: { batch: Batch; why: string }) {
  const away = batch.awayMs !== undefined;
  const put = useSend('putBatchAway');
  return (
    <>
      <PageHead title={say('unreadable.title', { count: 1 })} beside={sayDrink(batch.plan.recipeId)} />
      <Panel testId="unreadable">
        <Typography>{say('unreadable.lead')}</Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 2 }}>
          <Button
            variant="contained"
            component="a"
            href={`/api/batches/${encodeURIComponent(batch.id)}`}
            download="batch.json"
          >
            {say('unreadable.save')}
          </Button>
          <Button
            variant="outlined"
            onClick={() =>
              put.mutate(
                { params: { id: batch.id }, body: { away: !away } },
                { onError: (error) => tellError(error, say('saveKitchen.theKitchenServerDoes')) },
              )
            }
          >
            {say(away ? 'unreadable.bringBack' : 'unreadable.putAway')}
          </Button>
          <Button variant="outlined" component={Link} to="/kitchen?part=data">
            {say('unreadable.backups')}
          </Button>
        </Box>
        {away && <Typography sx={{ mb: 2 }}>{say('unreadable.where')}</Typography>}
        <Typography component="h2" sx={{ fontWeight: 700 }}>
          {say('unreadable.report')}
        </Typography>
        <Typography sx={{ color: role('inkMuted'), overflowWrap: 'anywhere' }}>
          {say('unreadable.reportText', { id: batch.id, version: batch.version, why })}
        </Typography>
      </Panel>
    </>
  );
}

import '../../words/places/shelf.ts';
import { ROUTES } from '@big-ladle/core/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useInfiniteQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { ask } from '../../shared/api.ts';
import { keys } from '../../shared/queries.ts';
import { ErrorPanel, Loading, Panel, Row } from '../../shared/ui.tsx';
import { sayDrink } from '../../words/names.ts';
import { volume } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { goneWord } from './itemPage.ts';

/** What has left the shelf and why, the last first, a page at a time. */
export function Gone({ nowMs, zone }: { nowMs: number; zone: string }) {
  const query = useInfiniteQuery({
    queryKey: [...keys.items, 'gone'],
    queryFn: ({ pageParam }: { pageParam: number | null }) =>
      ask(ROUTES.itemsGone, pageParam === null ? {} : { query: { before: pageParam } }),
    initialPageParam: null as number | null,
    getNextPageParam: (last) => last.next,
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <ErrorPanel error={query.error} again={() => void query.refetch()} />;
  const items = query.data.pages.flatMap((p) => p.items);
  return (
    <Panel title={say('gone.whatHasLeftThe')} testId="gone">
      {items.length === 0 && <Box>{say('gone.nothingYetWhatIs')}</Box>}
      {items.map(({ facts, log }) => (
        <Row
          key={facts.itemId}
          label={<Link to={`/shelf/${facts.itemId}`}>{sayDrink(facts.recipeId, facts.drinkName)}</Link>}
          note={volume(facts.bottle.volumeMl / 1000)}
        >
          <Box component="span" sx={{ fontWeight: 400 }}>
            {goneWord(log, nowMs, zone)}
          </Box>
        </Row>
      ))}
      {query.hasNextPage && (
        <Button
          variant="outlined"
          sx={{ mt: 1.5 }}
          disabled={query.isFetchingNextPage}
          onClick={() => void query.fetchNextPage()}
        >
          {say('gone.earlierOnes')}
        </Button>
      )}
    </Panel>
  );
}

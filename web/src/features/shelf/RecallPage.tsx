import '../../words/places/shelf.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Purchase } from '@big-ladle/core/shelf';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { Link, useSearchParams } from 'react-router';
import { useBook } from '../../shared/book.ts';
import { placeName } from '../../shared/house.ts';
import { usePurchases } from '../../shared/purchases.ts';
import { useKitchen } from '../../shared/queries.ts';
import { TextOut } from '../../shared/TextOut.tsx';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { dayOf, say } from '../../words/say.ts';

const nameOf = (p: Pick<Purchase, 'itemId' | 'purchase'>): string =>
  say('recall.name', { item: sayItem(p.itemId), purchase: p.purchase });

/** What is left of a thing that a purchase went into, or who has it. */
function fateOf(thing: Purchase['things'][number], kitchen: Kitchen): string {
  if (thing.givenTo) return say('recall.given', { to: thing.givenTo });
  return thing.place === null
    ? say('recall.gone')
    : say('recall.stands', { place: placeName(kitchen, thing.place).toLowerCase() });
}

/** From a packet or purchase to the bottles, leftovers and gifts that it went into. */
export function RecallPage() {
  const { data, isPending, error, refetch } = usePurchases();
  const kitchen = useKitchen();
  const book = useBook();
  const [search, setSearch] = useSearchParams();
  if (isPending || kitchen.isPending || book.isPending) return <Loading />;
  if (!data || !kitchen.data) return <ErrorPanel error={error} again={() => void refetch()} />;
  const k = kitchen.data.kitchen;
  const chosen = data.purchases.find(
    (p) => p.itemId === search.get('item') && p.purchase === search.get('purchase'),
  );
  return (
    <>
      <PageHead title={say('recall.title')} beside={say('recall.about')} />
      <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
        <Panel>
          {data.purchases.length === 0 ? (
            <Box>{say('recall.none')}</Box>
          ) : (
            <Autocomplete
              options={data.purchases}
              getOptionLabel={nameOf}
              value={chosen ?? null}
              isOptionEqualToValue={(a, b) => nameOf(a) === nameOf(b)}
              onChange={(_, p) => setSearch(p ? { item: p.itemId, purchase: p.purchase } : {})}
              sx={{ maxWidth: 520 }}
              renderInput={(params) => <TextField {...params} label={say('recall.which')} />}
            />
          )}
        </Panel>
        {chosen && <Found purchase={chosen} kitchen={k} />}
      </Box>
    </>
  );
}

function Found({ purchase, kitchen }: { purchase: Purchase; kitchen: Kitchen }) {
  const of = (batchId: string) => purchase.things.filter((t) => t.batchId === batchId);
  const whatOf = (t: Purchase['things'][number]) =>
    say(t.kind === 'bottle' ? 'recall.bottle' : 'recall.leftover');
  const text = [
    nameOf(purchase),
    ...purchase.batches.flatMap((b) => [
      '',
      say('recall.batch', { drink: sayDrink(b.recipeId), day: dayOf(b.atMs, kitchen.zone) }),
      ...of(b.batchId).map((t) => `- ${whatOf(t)} ${t.itemId}: ${fateOf(t, kitchen)}`),
    ]),
    '',
  ].join('\n');
  return (
    <>
      {purchase.batches.map((b) => (
        <Panel
          key={b.batchId}
          testId="recalled"
          title={say('recall.batch', { drink: sayDrink(b.recipeId), day: dayOf(b.atMs, kitchen.zone) })}
          aside={<Link to={`/batches/${b.batchId}`}>{say('recall.toBatch')}</Link>}
        >
          {of(b.batchId).length === 0 && (
            <Box sx={{ color: role('inkMuted') }}>{say('recall.nothingYet')}</Box>
          )}
          {of(b.batchId).map((t) => (
            <Row
              key={t.itemId}
              dense
              testId="recalled-thing"
              label={<Link to={`/shelf/${encodeURIComponent(t.itemId)}`}>{whatOf(t)}</Link>}
            >
              {fateOf(t, kitchen)}
            </Row>
          ))}
        </Panel>
      ))}
      <TextOut title={say('recall.takeAlong')} what={say('recall.list')} fileName="recall.txt" text={text} />
    </>
  );
}

import { type BottleLife, type Deed, type Kitchen, lifeOf, MINUTE_MS } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { Link, useSearchParams } from 'react-router';
import type { ShelfItem } from '../../shared/apiTypes.ts';
import { BottleDrawing } from '../../shared/drawings/BottleDrawing.tsx';
import { LotMarks } from '../../shared/LotMarks.tsx';
import { record } from '../../shared/outbox.ts';
import { useItems, useKitchen } from '../../shared/queries.ts';
import { useNow } from '../../shared/time.ts';
import { ErrorPanel, Figure, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { endOfTomorrow } from '../../shared/zone.ts';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import {
  celsius,
  dayFrom,
  days,
  grams,
  lastWholeDay,
  litres,
  moment,
  num,
  percent,
  say,
  sayReason,
  volume,
} from '../../words/say.ts';

const TONE: Record<BottleLife['verdict'], 'ready' | 'caution' | 'danger'> = {
  good: 'ready',
  drinkToday: 'caution',
  past: 'danger',
  throwOut: 'danger',
};

interface Living {
  item: ShelfItem;
  life: BottleLife;
  leftMl: number;
}

/** Bottles in the order in which they want drinking. */
export function ShelfPage() {
  const kitchen = useKitchen();
  const items = useItems();
  const nowMs = useNow(15_000);
  const [search, setSearch] = useSearchParams();
  if (kitchen.isPending || items.isPending) return <Loading />;
  const error = kitchen.error ?? items.error;
  if (error || !kitchen.data || !items.data)
    return <ErrorPanel error={error} again={() => void Promise.all([kitchen.refetch(), items.refetch()])} />;
  const k = kitchen.data.kitchen;
  const living: Living[] = items.data.items
    .map((item) => ({
      item,
      life: lifeOf(
        item.facts.bottle,
        item.log,
        k,
        Math.floor(nowMs / MINUTE_MS) * MINUTE_MS,
        endOfTomorrow(nowMs, k.zone),
      ),
      leftMl: Math.max(0, item.facts.bottle.volumeMl - item.log.pouredMl),
    }))
    .sort(
      (a, b) => a.life.deadlineMs - b.life.deadlineMs || (a.item.facts.itemId < b.item.facts.itemId ? -1 : 1),
    );
  const open = living.find((l) => l.item.facts.itemId === search.get('bottle')) ?? null;
  const totalL = living.reduce((sum, l) => sum + l.leftMl, 0) / 1000;
  const show = (id: string | null) => {
    if (id) search.set('bottle', id);
    else search.delete('bottle');
    setSearch(search, { replace: true });
  };
  const past = living.filter((l) => l.life.verdict === 'past' || l.life.verdict === 'throwOut').length;
  return (
    <>
      <PageHead
        title="Cold shelf"
        beside={
          living.length > 0 && (
            <>
              {num(living.length)} {living.length === 1 ? 'bottle' : 'bottles'}, {litres(totalL)} · fridge at{' '}
              {celsius(k.fridgeC)} · first to drink on the left
            </>
          )
        }
      />
      {living.length === 0 ? (
        <Panel title="No bottles yet">
          <Typography>
            When a batch is bottled, each bottle stands here with the days it has left and the reasons why.
          </Typography>
          <Button component={Link} to="/drinks" variant="outlined" sx={{ mt: 1.5 }}>
            Begin a batch
          </Button>
        </Panel>
      ) : (
        <Panel>
          {past > 0 && (
            <Box role="status" sx={{ bgcolor: role('dangerGround'), borderRadius: 2, p: 1.25, mb: 1.5 }}>
              <strong>
                {num(past)} {past === 1 ? 'bottle is' : 'bottles are'} past {past === 1 ? 'its' : 'their'}{' '}
                date.
              </strong>{' '}
              Do not taste to find out: pour it away.
            </Box>
          )}
          <Box
            component="ul"
            sx={{
              listStyle: 'none',
              m: 0,
              p: 0,
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(124px, 1fr))',
              rowGap: 3,
            }}
          >
            {living.map(({ item, life, leftMl }) => (
              <Box component="li" key={item.facts.itemId} data-testid="bottle" sx={{ minWidth: 0 }}>
                <Box
                  component="button"
                  type="button"
                  onClick={() => show(item.facts.itemId)}
                  sx={{
                    all: 'unset',
                    cursor: 'pointer',
                    display: 'block',
                    width: '100%',
                    '&:focus-visible': { outline: `3px solid ${role('rim')}`, outlineOffset: 2 },
                  }}
                >
                  <Box
                    sx={{
                      height: 168,
                      display: 'flex',
                      alignItems: 'flex-end',
                      borderBottom: `5px solid ${role('rimSoft')}`,
                      pl: 1.5,
                    }}
                  >
                    <BottleDrawing
                      sizeMl={item.facts.sizeMl}
                      share={(leftMl / item.facts.sizeMl) * 0.98}
                      colour={item.facts.colour}
                      height={176}
                    />
                  </Box>
                  <Box sx={{ p: 1, pl: 1.5 }}>
                    <LifeBar life={life} />
                    <Box sx={{ ...heading, color: role(TONE[life.verdict]) }}>
                      {deadlineWord(life, nowMs, k.zone)}
                    </Box>
                    <Box sx={{ fontSize: '0.9rem' }}>
                      {sayDrink(item.facts.recipeId, item.facts.drinkName)}
                      {item.facts.lot && `, ${item.facts.lot.name.toLowerCase()}`}
                    </Box>
                    {item.facts.marks?.some((m) => m === 'alcohol' || m === 'littleAlcohol') && (
                      <Box sx={{ fontSize: '0.9rem', fontWeight: 700, color: role('caution') }}>
                        {say('mark.alcohol')}
                      </Box>
                    )}
                    <Box sx={{ fontSize: '0.85rem', color: role('inkMuted') }}>
                      {[
                        item.log.openedMs !== null
                          ? `opened ${moment(item.log.openedMs, nowMs, k.zone)}`
                          : 'sealed',
                        item.log.places.at(-1)?.place === 'counter' ? 'on the table' : null,
                        leftMl < item.facts.bottle.volumeMl ? `${volume(leftMl / 1000)} left` : null,
                      ]
                        .filter(Boolean)
                        .join(', ')}
                    </Box>
                  </Box>
                </Box>
              </Box>
            ))}
          </Box>
        </Panel>
      )}
      {open && <BottleDialog living={open} kitchen={k} nowMs={nowMs} onClose={() => show(null)} />}
    </>
  );
}

function deadlineWord(life: BottleLife, nowMs: number, zone: string): string {
  if (life.verdict === 'throwOut') return say('verdict.throwOut');
  if (life.verdict === 'past') return `past since ${dayFrom(life.deadlineMs, nowMs, zone)}`;
  return life.verdict === 'drinkToday'
    ? say('verdict.drinkToday')
    : lastWholeDay(life.deadlineMs, nowMs, zone);
}

function LifeBar({ life }: { life: BottleLife }) {
  return (
    <Box
      role="img"
      aria-label={life.leftShare > 0 ? `${days(Math.max(0, life.leftDays))} left` : 'nothing left'}
      sx={{
        height: 8,
        borderRadius: 4,
        bgcolor: role('hairline'),
        border: `1px solid ${role('line')}`,
        overflow: 'hidden',
        maxWidth: 84,
        mb: 0.5,
      }}
    >
      <Box
        sx={{
          height: '100%',
          width: `${Math.round(life.leftShare * 100)}%`,
          bgcolor: role(TONE[life.verdict]),
        }}
      />
    </Box>
  );
}

/** One bottle: its date with its reasons, and what can happen to it. */
function BottleDialog(props: { living: Living; kitchen: Kitchen; nowMs: number; onClose: () => void }) {
  const { living, kitchen, nowMs, onClose } = props;
  const { item, life, leftMl } = living;
  const { facts, log } = item;
  const act = async (deeds: Deed[], close = false) => {
    await record({ kind: 'item', id: facts.itemId }, deeds);
    if (close) onClose();
  };
  const place = log.places.at(-1)?.place ?? 'fridge';
  const gone = life.verdict === 'past' || life.verdict === 'throwOut';
  return (
    <Dialog open onClose={onClose} aria-labelledby="bottle-title" fullWidth maxWidth="sm">
      <DialogTitle id="bottle-title" sx={{ ...heading }}>
        {sayDrink(facts.recipeId, facts.drinkName)}, {facts.lot && `${facts.lot.name.toLowerCase()}, `}
        {facts.sizeName.toLowerCase()}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <Box>
          <Figure value={deadlineWord(life, nowMs, kitchen.zone)} testId="bottle-deadline" />
          <Box sx={{ color: role(TONE[life.verdict]), fontWeight: 700 }}>
            {say(`verdict.${life.verdict}`)}
            {!gone &&
              `, ${days(Math.max(0, life.leftDays))} left: its time ends ${moment(life.deadlineMs, nowMs, kitchen.zone)}`}
          </Box>
        </Box>
        {gone && (
          <Box sx={{ bgcolor: role('dangerGround'), p: 1.25, borderRadius: 2 }}>
            Its time is over. Do not taste to find out: pour it away.
          </Box>
        )}
        <Box component="ul" sx={{ m: 0, pl: 2.5 }} data-testid="bottle-reasons">
          <li>
            Filled {moment(facts.bottle.filledMs, nowMs, kitchen.zone)}; its clock began{' '}
            {moment(facts.bottle.clockStartMs, nowMs, kitchen.zone)}.
          </li>
          {life.reasons.map((reason) => (
            <li key={reason.code}>{sayReason(reason)}</li>
          ))}
        </Box>
        {facts.marks && <LotMarks marks={facts.marks} />}
        <Box sx={{ color: role('inkMuted') }}>
          {volume(leftMl / 1000)} left · {num(facts.brix, 1)} °Bx · {grams(facts.glass.freeSugarG)} sugar a
          glass, {percent(facts.glass.shareOfCeiling)} of 50 g a day
        </Box>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {log.openedMs === null && (
            <Button variant="outlined" onClick={() => void act([{ kind: 'opened', body: {} }])}>
              Opened now
            </Button>
          )}
          <Button
            variant="outlined"
            disabled={leftMl < 1}
            onClick={() =>
              void act([{ kind: 'poured', body: { volumeMl: Math.min(leftMl, kitchen.servingMl) } }])
            }
          >
            A glass poured
          </Button>
          <Button
            variant="outlined"
            onClick={() =>
              void act([{ kind: 'moved', body: { place: place === 'fridge' ? 'counter' : 'fridge' } }])
            }
          >
            {place === 'fridge' ? 'Taken out of the fridge' : 'Put back in the fridge'}
          </Button>
          <Button variant="outlined" onClick={() => void act([{ kind: 'finished', body: {} }], true)}>
            Finished
          </Button>
          <Button
            variant="outlined"
            color="error"
            onClick={() =>
              void act([{ kind: 'discarded', body: { why: gone ? 'past its date' : 'thrown out' } }], true)
            }
          >
            Thrown out
          </Button>
        </Box>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
          Fizz, a bulging lid, mould or an odd smell: throw it out at any date.{' '}
          <Link to={`/batches/${facts.batchId}`}>The batch it comes from</Link>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

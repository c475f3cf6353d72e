import '../../../words/places/gatherings.ts';
import '../../../words/places/items.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import { jugFrom, OUT_MOST_MS, outMin, putBack, type Sized, TABLE_JUG } from '@big-ladle/core/gathering';
import { type BottleLife, keepDate } from '@big-ladle/core/keeping';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { bottlesOfDrink } from '../../../shared/gatherings/feastBottles.ts';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { placesOf } from '../../../shared/house.ts';
import { type Living, ownDaysOf, type Shelf, useShelf } from '../../../shared/shelf.ts';
import { tellOfThing } from '../../../shared/tellOfThing.ts';
import { Panel } from '../../../shared/ui.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { saySize } from '../../../words/names.ts';
import { litres } from '../../../words/quantities.ts';
import { dayOf, duration, say } from '../../../words/say.ts';
import { lotColour } from '../lotColour.ts';

/** What is left of each drink, what stands on the table and since when, and what becomes of it. */
export function OnTable(props: { gathering: GatheringDoc; sized: Sized; kitchen: Kitchen; nowMs: number }) {
  const { gathering, sized, kitchen, nowMs } = props;
  const { shelf } = useShelf(nowMs);
  if (!shelf) return null;
  const drinks = gathering.drinks
    .map((drink) => ({ drink, bottles: bottlesOfDrink(drink, shelf) }))
    .filter(({ bottles }) => bottles.length > 0);
  return (
    <Panel title={say('day.poured')} testId="on-table">
      {drinks.length === 0 && <Box sx={{ color: role('inkMuted') }}>{say('day.nothingPoured')}</Box>}
      {drinks.map(({ drink, bottles }) => (
        <Box
          key={drink.id}
          data-testid={`poured-${drink.id}`}
          sx={{
            mt: 1.5,
            pl: 1.5,
            borderLeft: `6px solid ${lotColour(sized.drinks.find((d) => d.id === drink.id))}`,
          }}
        >
          <Poured
            title={sayFeastDrink(sized.drinks.find((d) => d.id === drink.id))}
            {...{ bottles, shelf, kitchen, nowMs }}
          />
        </Box>
      ))}
    </Panel>
  );
}

function Poured(props: {
  title: string;
  bottles: readonly Living[];
  shelf: Shelf;
  kitchen: Kitchen;
  nowMs: number;
}) {
  const { title, bottles, shelf, kitchen, nowMs } = props;
  const { around } = shelf;
  const table = placesOf(kitchen).find((p) => p.kind === 'counter');
  const fridge = placesOf(kitchen).find((p) => p.kind === 'fridge');
  const outOf = (b: Living) => outMin(b.item.log, around, nowMs);
  const out = bottles.filter((b) => outOf(b) !== null);
  const cold = bottles.filter((b) => outOf(b) === null && !b.life.frozen);
  const leftL = bottles.reduce((sum, b) => sum + b.leftMl, 0) / 1000;
  const jug = jugFrom(
    bottles
      .filter((b) => !b.life.frozen && (b.life.verdict === 'good' || b.life.verdict === 'drinkToday'))
      .map((b) => ({
        itemId: b.item.facts.itemId,
        leftMl: b.leftMl,
        isOpen: b.item.log.openedMs !== null,
        isOut: outOf(b) !== null,
        deadlineMs: b.life.deadlineMs,
      })),
  );
  const jugL = jug.reduce((sum, p) => sum + p.volumeMl, 0) / 1000;
  const pour = () => {
    for (const { itemId, volumeMl, opens } of jug)
      void tellOfThing(itemId, [
        ...(opens ? [{ kind: 'opened' as const, body: {} }] : []),
        { kind: 'poured', body: { volumeMl } },
      ]);
  };
  const [next] = cold;
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Box sx={{ ...heading, fontSize: '1.1rem' }}>{title}</Box>
        <Box sx={heading} data-testid="left">
          {say('day.left', { litres: litres(leftL) })}
        </Box>
        <Box sx={{ color: role('inkMuted') }}>
          {say('day.leftOf', { count: bottles.length, out: out.length })}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.75 }}>
        {jugL > 0.05 && (
          <Button variant="contained" onClick={pour}>
            {say('day.jug', { litres: litres(Math.min(jugL, TABLE_JUG.volumeMl / 1000)) })}
          </Button>
        )}
        {next && table && (
          <Button
            variant="outlined"
            onClick={() =>
              void tellOfThing(next.item.facts.itemId, [{ kind: 'moved', body: { place: table.id } }])
            }
          >
            {say('day.takeOut')}
          </Button>
        )}
      </Box>
      {out.map((b) => (
        <StandsOut
          key={b.item.facts.itemId}
          living={b}
          minutes={outOf(b) ?? 0}
          back={
            fridge
              ? putBack(b.item.facts.bottle, b.item.log, fridge.id, around, nowMs, {
                  ownDays: ownDaysOf(kitchen, b.item.facts.recipeId),
                })
              : null
          }
          onBack={() =>
            fridge && void tellOfThing(b.item.facts.itemId, [{ kind: 'moved', body: { place: fridge.id } }])
          }
          zone={kitchen.zone}
        />
      ))}
    </>
  );
}

/** A bottle on the table: how long it has stood there, and what would become of it back in the cold. It goes back only when told. */
function StandsOut(props: {
  living: Living;
  minutes: number;
  back: BottleLife | null;
  onBack: () => void;
  zone: string;
}) {
  const { living, minutes, back, onBack, zone } = props;
  const { facts } = living.item;
  const tooLong = minutes * MINUTE_MS > OUT_MOST_MS;
  const date = back && keepDate(back, zone);
  return (
    <Box
      data-testid="stands-out"
      sx={{ mt: 1, display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}
    >
      <Box sx={{ flex: '1 1 220px' }}>
        {say('day.out', { bottle: saySize(facts.sizeName), time: duration(minutes) })}
        {tooLong && <Box sx={{ color: role('danger') }}>{say('day.outTooLong')}</Box>}
        {date && (
          <Box sx={{ color: role('inkMuted') }}>
            {say('day.backNow', {
              until:
                date.kind === 'day'
                  ? say('day.backDate', { day: dayOf(date.dayMs, zone) })
                  : say(date.kind === 'today' ? 'day.backToday' : 'day.backNever'),
            })}
          </Box>
        )}
      </Box>
      {date && (date.kind === 'day' || date.kind === 'today') && (
        <Button size="small" variant="outlined" onClick={onBack}>
          {say('day.putBack')}
        </Button>
      )}
      <Button
        size="small"
        color="error"
        onClick={() =>
          void tellOfThing(facts.itemId, [{ kind: 'discarded', body: { codes: ['thrown.stoodOut'] } }])
        }
      >
        {say('day.pourAway')}
      </Button>
    </Box>
  );
}

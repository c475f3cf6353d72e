import '../../words/places/stove.ts';
import { climateAt, KEEPING, spellCostMin, warmSpells } from '@big-ladle/core/keeping';
import { pressureAlarm } from '@big-ladle/core/shelf';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useReminders } from '../../shared/reminders.ts';
import { type Shelf, useShelf } from '../../shared/shelf.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { Loading, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink, saySize } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { celsius } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { duration, moment, say, timeOfDay } from '../../words/say.ts';

/** Of a table full of bottles the first to go back are told. */
const MOST_OUT = 4;
/** A warm night is told of for so long, and only when it cost more than this. */
const SPELL_NEWS_MS = 48 * 60 * MINUTE_MS;
const SPELL_TOLD_MIN = 30;

/** What the cold shelf asks for now: dates, looks, gas, a fridge that was warm. */
export function WantsALook() {
  const nowMs = useCoarseNow(MINUTE_MS);
  const { shelf } = useShelf(nowMs);
  return (
    <Panel title={say('stoveHome.wantsALookToday')} testId="wants-a-look">
      {shelf ? <Wanted shelf={shelf} nowMs={nowMs} /> : <Loading />}
    </Panel>
  );
}

function Wanted({ shelf, nowMs }: { shelf: Shelf; nowMs: number }) {
  const { living, leftovers, track, kitchen } = shelf;
  const reminders = useReminders(shelf, nowMs);
  const groups = [
    { verdict: 'throwOut', tone: 'danger', word: say('wantsALook.throwOut') },
    { verdict: 'past', tone: 'danger', word: say('wantsALook.pastItsDateThrow') },
    { verdict: 'drinkToday', tone: 'caution', word: say('wantsALook.drinkToday') },
  ] as const;
  const wanted = groups.flatMap((group) => {
    const byDrink = new Map<string, { ids: string[]; name: string | undefined }>();
    for (const { item, life } of living) {
      if (life.verdict !== group.verdict) continue;
      const { recipeId, drinkName, itemId } = item.facts;
      byDrink.set(recipeId, { ids: [...(byDrink.get(recipeId)?.ids ?? []), itemId], name: drinkName });
    }
    return [...byDrink].map(([recipeId, found]) => ({ ...group, recipeId, ...found }));
  });
  const spell = track ? warmSpells(track).findLast((s) => s.toMs > nowMs - SPELL_NEWS_MS) : undefined;
  const costMin = spell && track ? spellCostMin(track, spell) : 0;
  const shortened = living.filter((l) => l.life.fridgeCostDays > 1 / 24).length;
  const asked = (['vent', 'look'] as const).flatMap((kind) => {
    const ids = reminders.filter((r) => r.kind === kind && r.atMs <= nowMs).flatMap((r) => r.itemIds);
    return ids.length > 0 ? [{ kind, count: ids.length }] : [];
  });
  const useToday = leftovers.filter((l) => l.life.verdict !== 'good').length;
  const line = (key: string, to: string, what: string, word: string, tone: 'danger' | 'caution') => (
    <Box key={key} sx={{ py: 1, borderBottom: `1px solid ${role('hairline')}` }}>
      <Box component={Link} to={to} sx={{ ...heading, color: role('ink'), display: 'inline-block', py: 0.5 }}>
        {what}
      </Box>
      <Box sx={{ color: role(tone), fontWeight: 700 }}>{word}</Box>
    </Box>
  );
  const pressed = living.filter(({ item }) => pressureAlarm({ ...item.facts, log: item.log }));
  // What is not shown to be acid may go back within two hours: the moment is told while it still can.
  const out = living
    .filter(
      ({ item, life }) =>
        !item.facts.bottle.keeping.acid.shown &&
        (life.verdict === 'good' || life.verdict === 'drinkToday') &&
        climateAt(shelf.around, item.log.places.at(-1)?.place ?? '').trackedBy === null &&
        !life.frozen,
    )
    .sort((a, b) => b.life.warmH - a.life.warmH);
  const backH = kitchen.roomC > KEEPING.hotRoomC ? KEEPING.hotTableH.back : KEEPING.tableH.back;
  const nothing =
    out.length === 0 &&
    wanted.length + asked.length + useToday + pressed.length === 0 &&
    costMin <= SPELL_TOLD_MIN;
  return (
    <>
      {spell && costMin > SPELL_TOLD_MIN && (
        <Box
          data-testid="warm-night"
          sx={{ bgcolor: role('cautionGround'), borderRadius: 2, p: 1.25, mb: 1 }}
        >
          <strong>
            {say('wantsALook.theFridgeWasWarm', {
              from: moment(spell.fromMs, nowMs, kitchen.zone),
              to: moment(spell.toMs, nowMs, kitchen.zone),
              highestC: celsius(spell.highestC),
            })}
          </strong>{' '}
          {shortened > 0
            ? say('wantsALook.itCostOneOther', {
                shortened: num(shortened),
                shortenedCount: shortened,
                cost: duration(costMin),
              })
            : say('wantsALook.noBottleStoodIn')}
          {spell.guessed && say('wantsALook.partOfItNobody')}
        </Box>
      )}
      {pressed.map(({ item }) =>
        line(
          `pressure${item.facts.itemId}`,
          `/shelf/${item.facts.itemId}`,
          `${sayDrink(item.facts.recipeId, item.facts.drinkName)}, ${saySize(item.facts.sizeName).toLowerCase()}`,
          say('wantsALook.pressureInClosedGlass'),
          'danger',
        ),
      )}
      {out.slice(0, MOST_OUT).map(({ item, life }) =>
        line(
          `out${item.facts.itemId}`,
          `/shelf/${item.facts.itemId}`,
          `${sayDrink(item.facts.recipeId, item.facts.drinkName)}, ${saySize(item.facts.sizeName).toLowerCase()}`,
          life.warmH < backH
            ? say('wantsALook.outOfTheCold', {
                now: timeOfDay(nowMs + (backH - life.warmH) * 3_600_000, kitchen.zone),
              })
            : say('wantsALook.outOfTheColdToo'),
          life.warmH < backH ? 'caution' : 'danger',
        ),
      )}
      {nothing && (
        <Typography sx={{ color: role('inkMuted') }}>
          {living.length > 0 ? say('wantsALook.everyBottleOnThe') : say('wantsALook.bottlesShowHereOn')}
        </Typography>
      )}
      {wanted.map((w) =>
        line(
          `${w.verdict}${w.recipeId}`,
          w.ids.length === 1 ? `/shelf/${w.ids[0]}` : '/shelf',
          `${sayDrink(w.recipeId, w.name)}, ${say('count.bottles', { count: w.ids.length })}`,
          w.word,
          w.tone,
        ),
      )}
      {asked.map(({ kind, count }) =>
        line(
          kind,
          '/shelf?view=reminders',
          say('count.bottles', { count }),
          kind === 'vent' ? say('wantsALook.letTheGasOff') : say('wantsALook.lookAtItAnd'),
          'caution',
        ),
      )}
      {useToday > 0 &&
        line(
          'leftovers',
          '/shelf?view=leftovers',
          say('wantsALook.leftovers', { count: useToday }),
          say('wantsALook.useOrFreezeToday'),
          'caution',
        )}
      {living.length > 0 && (
        <Box sx={{ mt: 1.5, color: role('inkMuted') }}>
          {sayRich('wantsALook.oneOtherOnThe', {
            bottles: num(living.length),
            lengthCount: living.length,
            link: <Link to="/shelf">{say('common.coldShelf2')}</Link>,
          })}
        </Box>
      )}
    </>
  );
}

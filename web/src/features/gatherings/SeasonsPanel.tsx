import '../../words/places/gatherings.ts';
import type { GatheringDoc } from '@big-ladle/core/documents';
import { type FeastTimes, type SeasonDates, type Sized, seasonDates } from '@big-ladle/core/gathering';
import { mdiCalendarClockOutline } from '@mdi/js';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, useMemo } from 'react';
import { useBook } from '../../shared/book.ts';
import { type Appointment, saveCalendar } from '../../shared/calendar.ts';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { Icon } from '../../shared/Icon.tsx';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayFamily } from '../../words/plainNames.ts';
import { fullDay, say } from '../../words/say.ts';

const DAY_MS = 24 * 60 * 60_000;
/** Sooner than this nobody sows for it any more. */
const FAR_MS = 21 * DAY_MS;

/** Of a feast that is far off, or comes every year: what is sown, picked or ordered for it, and by when. */
export const SeasonsPanel = memo(function SeasonsPanel(props: {
  gathering: GatheringDoc;
  sized: Sized;
  times: FeastTimes | null;
  nowMs: number;
  zone: string;
}) {
  const { gathering, sized, times, nowMs, zone } = props;
  const { tables } = useBook();
  const rows = useMemo(() => {
    const beginsMs = (drinkId: string) => {
      const starts = (times?.jobs ?? []).filter((j) => j.drinkId === drinkId).map((j) => j.startMs);
      return starts.length > 0 ? Math.min(...starts) : null;
    };
    return seasonDates(gathering, sized.drinks, beginsMs, tables);
  }, [gathering, sized, times, tables]);
  const far = gathering.yearly || gathering.servesAtMs - nowMs > FAR_MS;
  const open = rows.filter((r) => r.orderByMs > nowMs);
  if (!far || open.length === 0) return null;
  const named = (r: SeasonDates) =>
    say(r.form === 'dried' ? 'seasons.whatDried' : 'seasons.what', {
      plant: sayFamily(r.familyId),
      drinks: r.drinkIds.map((id) => sayFeastDrink(sized.drinks.find((d) => d.id === id))).join(', '),
    });
  const on = (ms: number) => fullDay(ms, zone);
  const calendar = () =>
    saveCalendar(say('seasons.title'), { name: gathering.name, product: 'Seasons' }, appointments());
  /** What is still ahead, each on its own day. */
  function appointments(): Appointment[] {
    const whole = (id: string, atMs: number, summary: string): Appointment[] =>
      atMs > nowMs ? [{ id, startMs: atMs, endMs: atMs + 60_000, summary, alarmMin: 0, free: true }] : [];
    return open.flatMap((r) => {
      const key = `${r.familyId}-${r.form}`;
      const what = named(r);
      return [
        ...whole(`sow-${key}`, r.sowByMs, `${what}: ${say(`seasons.${r.begins}`, { day: on(r.sowByMs) })}`),
        ...whole(`pick-${key}`, r.pickToMs, say('seasons.pickTitle', { what })),
        ...whole(`order-${key}`, r.orderByMs, say('seasons.orderTitle', { what })),
      ];
    });
  }
  return (
    <Panel title={say('seasons.title')} testId="seasons">
      {open.map((r) => (
        <Box key={`${r.familyId} ${r.form}`} sx={{ py: 0.75, borderBottom: `1px solid ${role('hairline')}` }}>
          <Box sx={{ fontWeight: 700 }}>{named(r)}</Box>
          <Box>
            {[
              r.sowByMs > nowMs ? say(`seasons.${r.begins}`, { day: on(r.sowByMs) }) : say('seasons.tooLate'),
              r.form === 'dried'
                ? say('seasons.pickDry', { to: on(r.pickToMs) })
                : say('seasons.pick', { from: on(r.pickFromMs), to: on(r.pickToMs) }),
              say('seasons.use', { day: on(r.useByMs) }),
              say('seasons.order', { day: on(r.orderByMs) }),
            ].join(', ')}
          </Box>
        </Box>
      ))}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>{say('seasons.note')}</Box>
      <Button
        variant="outlined"
        sx={{ mt: 1 }}
        startIcon={<Icon path={mdiCalendarClockOutline} />}
        onClick={() => void calendar()}
      >
        {say('seasons.calendar')}
      </Button>
    </Panel>
  );
});

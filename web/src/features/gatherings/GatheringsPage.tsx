import '../../words/places/gatherings.ts';
import { type GatheringDoc, newGathering } from '@big-ladle/core/documents';
import { guestsOf } from '@big-ladle/core/gathering';
import { DAY_MS } from '@big-ladle/core/units';
import { TZDate } from '@date-fns/tz';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useGatherings } from '../../shared/gatherings/list.ts';
import { useKitchen } from '../../shared/queries.ts';
import { tellError, useSend } from '../../shared/send.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { moment, say } from '../../words/say.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
/** A gathering begins as one of the next Saturday evening, for a dozen people. */
const SATURDAY = 6;
const USUAL = { atHour: 18, hours: 4, guests: 12 };

/** The next Saturday evening that leaves two days for making it, in the kitchen's zone. */
function saturdayEvening(nowMs: number, zone: string): number {
  const day = new TZDate(nowMs + 2 * DAY_MS, zone);
  day.setDate(day.getDate() + ((SATURDAY - day.getDay() + 7) % 7));
  day.setHours(USUAL.atHour, 0, 0, 0);
  return day.getTime();
}

const firstOf = (nowMs: number, zone: string): GatheringDoc => {
  const servesAtMs = saturdayEvening(nowMs, zone);
  return {
    ...newGathering(say('gatherings.firstName'), servesAtMs, servesAtMs + USUAL.hours * HOUR),
    groups: [
      {
        id: 'g1',
        name: say('gatherings.firstGroup').toLowerCase(),
        least: USUAL.guests,
        most: USUAL.guests,
        age: 'adult',
        rules: [],
        thirst: 'usual',
      },
    ],
  };
};

/** All gatherings, the next one first. */
export function GatheringsPage() {
  const kitchen = useKitchen();
  const list = useGatherings();
  const save = useSend('saveGathering');
  const navigate = useNavigate();
  const nowMs = useCoarseNow(MINUTE);
  if (kitchen.isPending || list.isPending) return <Loading />;
  if (!kitchen.data || !list.data) return <ErrorPanel error={kitchen.error ?? list.error} />;
  const { zone } = kitchen.data.kitchen;
  const { gatherings } = list.data;
  const coming = gatherings.filter((g) => g.gathering.untilMs > nowMs);
  const over = gatherings.filter((g) => g.gathering.untilMs <= nowMs).reverse();
  const plan = async () => {
    const id = uuid();
    try {
      await save.mutateAsync({ params: { id }, body: { version: 0, gathering: firstOf(nowMs, zone) } });
      navigate(`/gatherings/${id}`);
    } catch (error) {
      tellError(error);
    }
  };
  return (
    <>
      <PageHead title={say('gatherings.title')} beside={say('gatherings.about')}>
        <Button variant="contained" disabled={save.isPending} onClick={() => void plan()}>
          {say('gatherings.new')}
        </Button>
      </PageHead>
      <Panel label={say('gatherings.title')} testId="gatherings">
        {gatherings.length === 0 && <Box>{say('gatherings.none')}</Box>}
        {[...coming, ...over].map(({ id, gathering }) => (
          <Row
            key={id}
            testId="gathering"
            label={<Link to={`/gatherings/${id}`}>{gathering.name}</Link>}
            note={
              gathering.untilMs <= nowMs
                ? say('gatherings.over')
                : say('gatherings.drinks', { count: gathering.drinks.length })
            }
          >
            {moment(gathering.servesAtMs, nowMs, zone)},{' '}
            {say('gatherings.guests', {
              count: Math.round(gathering.groups.reduce((sum, g) => sum + guestsOf(g), 0)),
            })}
          </Row>
        ))}
      </Panel>
    </>
  );
}

import '../../words/places/pages.ts';
import '../../words/places/feast.ts';
import type { Gathering } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';
import { MINUTE_MS } from '@big-ladle/core/units';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { MovedJobs, NextJobs } from '../../shared/gatherings/NextJobs.tsx';
import { useFeast } from '../../shared/gatherings/useFeast.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { Panel } from '../../shared/ui.tsx';
import { moment, say } from '../../words/say.ts';

/** The next jobs of a gathering that is coming, for each who works on it, and what has moved. */
export function FeastNext({ coming, kitchen }: { coming: Gathering; kitchen: Kitchen }) {
  const nowMs = useCoarseNow(MINUTE_MS);
  const { id, gathering, timetable } = coming;
  const { zone } = kitchen;
  const feast = useFeast(id, gathering, timetable);
  const { sized, times } = feast;
  if (!sized || !times) return null;
  return (
    <Panel
      testId="feast-next"
      title={say('nextJobs.title', {
        gathering: gathering.name,
        at: moment(gathering.servesAtMs, nowMs, zone),
      })}
      aside={
        <Button component={Link} to={`/gatherings/${id}/day`} size="small">
          {say('nextJobs.all')}
        </Button>
      }
    >
      <MovedJobs {...{ feast, nowMs, zone }} />
      <NextJobs {...{ gathering, sized, times, nowMs, zone }} who={null} />
    </Panel>
  );
}

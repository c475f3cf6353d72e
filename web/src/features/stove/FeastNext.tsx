import '../../words/places/pages.ts';
import '../../words/places/feast.ts';
import type { Gathering } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { MovedJobs, NextJobs } from '../../shared/gatherings/NextJobs.tsx';
import { useFeast } from '../../shared/gatherings/useFeast.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { Loading, Panel } from '../../shared/ui.tsx';
import { moment, say } from '../../words/say.ts';
import { WIDE_ONLY } from './wideOnly.ts';

/** So high three jobs stand: nothing jumps when they come. */
const HIGH_PX = 150;

/** The next jobs of a gathering that is coming, for each who works on it, and what has moved. */
export function FeastNext({ coming, kitchen }: { coming: Gathering; kitchen: Kitchen }) {
  const nowMs = useCoarseNow(MINUTE_MS);
  const { id, gathering, timetable } = coming;
  const { zone } = kitchen;
  const feast = useFeast(id, gathering, timetable);
  const { sized, times } = feast;
  return (
    <Box sx={sized && times ? {} : WIDE_ONLY}>
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
        <Box sx={{ minHeight: HIGH_PX }}>
          <MovedJobs {...{ feast, nowMs, zone }} />
          {sized && times ? (
            <NextJobs {...{ gathering, sized, times, nowMs, zone }} who={null} />
          ) : (
            <Loading />
          )}
        </Box>
      </Panel>
    </Box>
  );
}

import '../../words/places/gatherings.ts';
import '../../words/places/batch.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { type FeastWay, type Sized, withWay } from '@big-ladle/core/gathering';
import type { Job } from '@big-ladle/core/plan';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, useMemo } from 'react';
import { v7 as uuid } from 'uuid';
import { useBook } from '../../shared/book.ts';
import type { GatheringChange } from '../../shared/gatherings/gatherings.ts';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { litres } from '../../words/quantities.ts';
import { duration, moment, percent, say } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';

/** Ways are tried for so long at most. */
const BUDGET_MS = 15_000;

/** What there is too little of, and what would mend it: each was tried, and works when it is taken. */
export const WaysPanel = memo(function WaysPanel(props: {
  job: Extract<Job, { kind: 'feast' }>;
  missing: readonly string[];
  sized: Sized;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { job, missing, sized, kitchen, nowMs, onChange } = props;
  const { own, custom, book } = useBook();
  const key = missing.join(' ');
  const asked = useMemo(
    () => ({
      kind: 'feastWays' as const,
      input: job.input,
      kitchen: job.kitchen,
      missing: key.split(' '),
      seed: job.seed,
      budgetMs: BUDGET_MS,
    }),
    [job, key],
  );
  const { result, current, progress } = useJob(asked, own, custom, { tells: true });
  const drink = (id: string) => sayFeastDrink(sized.drinks.find((d) => d.id === id));
  const sayWay = (way: FeastWay): string => {
    switch (way.kind) {
      case 'coolBox':
        return say('waysOut.coolBox', { litres: litres(way.litres) });
      case 'freeze':
        return say('waysOut.freeze', { drink: drink(way.drinkId) });
      case 'method':
        return say('waysOut.method', { drink: drink(way.drinkId), method: say(`method.${way.methodId}`) });
      case 'helper':
        return say('waysOut.helper', {
          from: moment(way.fromMs, nowMs, kitchen.zone),
          to: moment(way.toMs, nowMs, kitchen.zone),
        });
      case 'borrow':
        return say('waysOut.borrow', { rings: way.rings });
      case 'smaller':
        return say('waysOut.smaller', { of: num(way.assurance * 100) });
      case 'later':
        return say('waysOut.later', { time: duration(way.byMs / MINUTE_MS) });
      case 'leaveOut':
        return say('waysOut.leaveOut', { drink: drink(way.drinkId) });
    }
  };
  const take = (way: FeastWay) => {
    const helper = { id: uuid(), name: say('settle.helperName') };
    onChange((g) => withWay(g, way, book, helper));
  };
  return (
    <Panel title={say('waysOut.title')} testId="ways-out">
      {!current && (
        <Box role="status" sx={{ color: role('inkMuted') }}>
          {say('waysOut.trying', { percent: percent(progress ?? 0) })}
        </Box>
      )}
      {current && result && (
        <>
          {result.limits.length > 0 && (
            <Box sx={{ mb: 1 }} data-testid="limits">
              {say('waysOut.limits', {
                limits: result.limits.map((l) => say(`waysOut.limit.${l}`)).join(', '),
              })}
            </Box>
          )}
          {result.ways.length === 0 && <Box>{say('waysOut.none')}</Box>}
          {result.ways.map((way) => (
            <Box
              key={way.kind}
              data-testid={`way-out-${way.kind}`}
              sx={{
                display: 'flex',
                gap: 2,
                alignItems: 'center',
                flexWrap: 'wrap',
                py: 0.75,
                borderBottom: `1px solid ${role('hairline')}`,
              }}
            >
              <Box sx={{ ...heading, flex: '1 1 260px' }}>{sayWay(way)}</Box>
              <Button variant="outlined" onClick={() => take(way)}>
                {say('waysOut.take')}
              </Button>
            </Box>
          ))}
        </>
      )}
    </Panel>
  );
});

import '../../words/places/stove.ts';
import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { moment, say } from '../../words/say.ts';
import type { BoardEntry } from './board.ts';
import { planName, type WaitingPlan } from './usePlanStarts.ts';

/** Everything the cook is needed for, of all batches and plans, in the order of time. */
export function NextUp(props: {
  board: readonly BoardEntry[];
  plans: readonly WaitingPlan[];
  nowMs: number;
  zone: string;
}) {
  const { nowMs, zone } = props;
  const rows = [
    ...props.board.flatMap((b) =>
      b.next.map((n) => ({
        key: `${b.id}${n.name}${n.atMs}`,
        atMs: n.atMs,
        to: `/batches/${b.id}/stove`,
        what: n.name,
        which: sayDrink(b.recipeId),
        note:
          n.untilMs === null ? '' : say('stoveHome.mayWaitUntil', { until: moment(n.untilMs, nowMs, zone) }),
        late: false,
      })),
    ),
    ...props.plans.flatMap((p) => {
      const startMs = p.start?.startMs ?? null;
      return startMs === null
        ? []
        : [
            {
              key: p.id,
              atMs: startMs,
              to: `/batches/${p.id}`,
              what: say('stoveHome.begin'),
              which: planName(p),
              note: say('stoveHome.toBeReady', { readyAt: moment(p.readyAtMs ?? nowMs, nowMs, zone) }),
              late: startMs < nowMs,
            },
          ];
    }),
  ].sort((a, b) => a.atMs - b.atMs);
  if (rows.length === 0) return null;
  return (
    <Panel title={say('stoveHome.next')}>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {rows.map((row) => (
          <Box
            component="li"
            key={row.key}
            data-testid="next"
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '104px 1fr', sm: '104px 1fr auto' },
              columnGap: 1.5,
              py: 1,
              borderBottom: `1px solid ${role('hairline')}`,
              alignItems: 'baseline',
            }}
          >
            <Box sx={{ ...heading, whiteSpace: 'nowrap', color: row.late ? role('danger') : undefined }}>
              {row.late
                ? say('stoveHome.overdue')
                : row.atMs <= nowMs
                  ? say('common.now')
                  : moment(row.atMs, nowMs, zone)}
            </Box>
            <Box>
              <Box component={Link} to={row.to} sx={{ color: role('ink'), fontWeight: 700 }}>
                {row.what}
              </Box>{' '}
              <Box component="span" sx={{ color: role('inkMuted') }}>
                {row.which}
              </Box>
            </Box>
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', gridColumn: { xs: 2, sm: 3 } }}>
              {row.note}
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}

import '../../../../words/places/batch.ts';
import { type PartNow, partsNow } from '@big-ladle/core/balance';
import { keepDate, plannedLife } from '@big-ladle/core/keeping';
import { finishedLiquor, simulateBatch } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { role } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { num } from '../../../../words/numbers.ts';
import { grams } from '../../../../words/quantities.ts';
import { say, sayDate } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** Nearer than this to a whole part it is one. */
const OFF = 0.02;

const isOff = ({ parts, wanted }: PartNow): boolean => Math.abs(parts - wanted) > wanted * OFF;

/** A drink in parts as it really is: its ratio, what a jar is short of, and whether that matters for its date. */
export function PartsAsTheyAre({ live }: { live: LiveBatch }) {
  const { step, planned, program, now, tables } = live;
  if (!step) return null;
  const parts = partsNow(planned, program, now.forecast, step.id, tables);
  if (parts.length === 0) return null;
  const short = parts.filter(isOff);
  return (
    <Box data-testid="parts" sx={{ display: 'grid', gap: 0.5 }}>
      <strong>
        {say('parts.ratio', {
          ratio: [1, ...parts.map((p) => Math.round(p.parts * 100) / 100)]
            .map((p) => num(p, Number.isInteger(p) ? 0 : 2))
            .join(' : '),
          names: parts.map((p) => sayItem(p.itemId).toLowerCase()).join(', '),
        })}
      </strong>
      {short.map((p) => (
        <span key={p.lineId}>
          {say(p.shortG > 0 ? 'parts.short' : 'parts.over', {
            item: sayItem(p.itemId).toLowerCase(),
            mass: grams(p.shortG),
          })}
        </span>
      ))}
      {short.length > 0 && <ItsDate live={live} />}
      <Box component="span" sx={{ color: role('inkMuted') }}>
        {say('parts.lessIsSaid')}
      </Box>
    </Box>
  );
}

/** The date as it will be, beside the one that was planned. */
function ItsDate({ live }: { live: LiveBatch }) {
  const { planned, program, now, kitchen, tables } = live;
  const startMs = now.log.startedMs ?? live.nowMs;
  const minute = Math.floor(live.nowMs / 60_000);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at again every minute
  const dates = useMemo(() => {
    const times = { startMs, nowMs: live.nowMs };
    const was = simulateBatch(planned, kitchen, tables, { detail: 'lean' });
    const [before, after] = [
      plannedLife(planned, was, kitchen, times),
      finishedLiquor(now.forecast) ? plannedLife(program, now.forecast, kitchen, times) : null,
    ];
    return before && after
      ? { before: keepDate(before, kitchen.zone), after: keepDate(after, kitchen.zone) }
      : null;
  }, [planned, program, now.forecast, kitchen, tables, minute, startMs]);
  if (!dates) return null;
  return (
    <span>
      {dates.after < dates.before
        ? say('parts.keepsLess', { date: sayDate(dates.after, kitchen.zone) })
        : say('parts.keepsAsLong', { date: sayDate(dates.after, kitchen.zone) })}
    </span>
  );
}

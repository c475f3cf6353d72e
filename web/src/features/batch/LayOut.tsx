import { toLayOut } from '@big-ladle/core';
import Box from '@mui/material/Box';
import { num, say } from '../../words/say.ts';
import { TickList, useTicks } from './TickList.tsx';
import type { LiveBatch } from './useBatchNow.ts';

/** Vessels, sieves, cloths and bottles, ticked off before the first step: clean, sound, and at hand. */
export function LayOut({ live }: { live: LiveBatch }) {
  const things = toLayOut(live.program, live.kitchen, live.tables);
  const ticks = useTicks(`big-ladle-laid-out-${live.batch.id}`);
  const left = things.filter((t) => !ticks.ticked.includes(t.code)).length;
  return (
    <Box component="details" data-testid="lay-out">
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: 48, py: 1 }}>
        {left > 0 ? say('layOut.left', { count: num(left) }) : say('layOut.done')}
      </Box>
      <TickList
        things={things.map(({ code, names }) => ({
          code,
          text: say(`layOut.${code}`, { names: names.join(', ') }),
        }))}
        ticks={ticks}
      />
    </Box>
  );
}

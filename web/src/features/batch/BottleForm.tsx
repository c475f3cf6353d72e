import {
  BOTTLES,
  bottlePlan,
  type Deed,
  fillBottles,
  fillMl,
  jugOf,
  suggestBottles,
  volumeMl,
} from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Choice } from '../../shared/Choice.tsx';
import { Counter } from '../../shared/Counter.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { role } from '../../theme/theme.ts';
import { litres, num, volume } from '../../words/say.ts';
import { FootDeed } from './FootDeed.tsx';
import type { LiveBatch } from './useBatchNow.ts';

/** Which bottles, how many, how full, and what is left over. */
export function BottleForm({ live, onBottled }: { live: LiveBatch; onBottled: () => void }) {
  const kitchen = useKitchen();
  const { step } = live;
  const sizes = kitchen.data?.kitchen.bottles ?? live.kitchen.bottles;
  const tub =
    (step?.from[0] ? live.now.moment?.vessels[step.from[0]] : undefined) ??
    live.now.forecast.vessels[BOTTLES];
  const ml = tub ? volumeMl(tub.liquor) : 0;
  const [counts, setCounts] = useState<Record<string, number> | null>(null);
  const [hygiene, setHygiene] = useState<'clean' | 'sterilised'>(
    step?.kind === 'bottle' ? step.hygiene : 'clean',
  );
  const [left, setLeft] = useState<'glass' | 'keep'>('glass');
  if (step?.kind !== 'bottle') return null;
  const chosen = counts ?? suggestBottles(ml, sizes);
  const plan = bottlePlan(ml, sizes, chosen);
  const room = sizes.reduce((sum, s) => sum + (chosen[s.id] ?? 0) * fillMl(s.volumeMl), 0);
  const set = (id: string, count: number) => setCounts({ ...chosen, [id]: count });

  const finish = async () => {
    const { bottles, leftMl } = fillBottles(ml, sizes, chosen, uuid);
    const filled = left === 'keep' && leftMl >= 1 ? [...bottles, jugOf(leftMl, uuid)] : bottles;
    const deeds: Deed[] = [
      { kind: 'bottled', body: { stepId: step.id, hygiene, bottles: filled } },
      { kind: 'stepEnded', body: { stepId: step.id } },
    ];
    await live.say(deeds);
    onBottled();
  };

  return (
    <Box sx={{ display: 'grid', gap: 1.5 }} data-testid="bottle-form">
      <Box>{litres(ml / 1000, 2)} to fill, each bottle to 96 % of its size.</Box>
      {sizes.map((size) => (
        <Box key={size.id} sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
          <Box sx={{ flex: 1 }}>
            {size.name}
            <Box sx={{ color: role('inkMuted'), fontSize: '0.92em' }}>
              {num(fillMl(size.volumeMl))} of {num(size.volumeMl)} mL; you have {num(size.count)}
            </Box>
          </Box>
          <Counter
            count={chosen[size.id] ?? 0}
            text={num(chosen[size.id] ?? 0)}
            fewer={`One ${size.name} fewer`}
            more={`One ${size.name} more`}
            onChange={(count) => set(size.id, count)}
            testId={`count-${size.id}`}
          />
        </Box>
      ))}
      <Box data-testid="bottle-left">
        {num(plan.bottles)} bottles take {litres(plan.filledMl / 1000, 2)}; {volume(plan.leftMl / 1000)} left
        over.
        {room > ml + 1 && ` The last one stays ${volume((room - ml) / 1000)} short.`}
      </Box>
      {plan.leftMl >= 1 && (
        <Choice
          label="What is left over"
          value={left}
          options={[
            { value: 'glass', text: 'is drunk now' },
            { value: 'keep', text: 'goes into a jug on the shelf' },
          ]}
          onChange={(v) => setLeft(v as 'glass')}
        />
      )}
      <Choice
        label="Bottles are"
        value={hygiene}
        options={[
          { value: 'sterilised', text: 'sterilised' },
          { value: 'clean', text: 'clean' },
        ]}
        onChange={(v) => setHygiene(v as 'clean')}
      />
      {sizes.length === 0 && (
        <Alert severity="info">
          No bottles stand in your kitchen yet: add their sizes in Kitchen, or put it all in a jug.
        </Alert>
      )}
      <FootDeed disabled={plan.bottles === 0 && left === 'glass'} onClick={() => void finish()}>
        Bottled, onto the cold shelf
      </FootDeed>
    </Box>
  );
}

import '../../../../words/places/batch.ts';
import { KEEPING, SERVE_C } from '@big-ladle/core/keeping';
import { type CoolingWay, coolingWays } from '@big-ladle/core/plan';
import { isPot } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { Fold } from '../../../../shared/Fold.tsx';
import { role } from '../../../../theme/theme.ts';
import { celsius, kilograms } from '../../../../words/quantities.ts';
import { sayRich } from '../../../../words/rich.ts';
import { duration, moment, say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { useProbeReadings } from './InstrumentStrip.tsx';
import { TempChart } from './TempChart.tsx';

/** Cold enough for glass that is cold, and for the table. */
const BOTTLE_C = 25;

/** Both stages of cooling with their limits, how it goes on, and what would shorten it by how much. */
export function CoolingWatch({ live }: { live: LiveBatch }) {
  const { step, now, kitchen, program, nowMs, pot } = live;
  const { readings } = useProbeReadings(live);
  const entry = now.moment?.trace.at(-1);
  const forecast = now.forecast.trace.find((t) => t.stepId === step?.id);
  const liquor = entry?.after.liquor;
  const ways = useMemo(() => {
    if (!entry || !liquor) return [];
    const spec = program.vessels.find((v) => v.id === entry.vesselId);
    return coolingWays({
      massG: entry.now.massG,
      solidsG: 0,
      contentsMl: (entry.now.volumeL + entry.now.solidsL) * 1000,
      tempC: entry.now.tempC,
      coldC: SERVE_C,
      diameterM: spec?.shape?.diameterM ?? pot.diameterCm / 100,
      vesselG: isPot(entry.vesselId) ? (spec?.massG ?? 0) : 0,
      roomC: kitchen.roomC,
      fridgeC: kitchen.fridgeC,
    });
  }, [entry, liquor, program, kitchen, pot]);
  if (step?.kind !== 'cool' || !entry || !liquor) return null;
  const limits = KEEPING.stagesH;
  const startMs = now.log.startedMs ?? nowMs;
  const whenAt = (targetC: number): number | null => {
    if (entry.now.tempC <= targetC) return nowMs;
    const point = forecast?.curve.find((p) => p.tempC <= targetC);
    return point ? startMs + point.atMin * 60_000 : null;
  };
  const current: CoolingWay['id'] =
    step.place === 'iceBath'
      ? 'iceStirred'
      : step.place === 'fridge'
        ? 'fridge'
        : step.place === 'trays'
          ? 'trays'
          : 'counterOpen';
  const own = ways.find((w) => w.id === current);
  return (
    <Box
      component="section"
      aria-label={say('coolingWatch.coolingWatch')}
      data-testid="cooling"
      sx={{ display: 'grid', gridTemplateColumns: 'minmax(0,1fr)', gap: 1.5 }}
    >
      <Stage
        name={say('coolingWatch.firstStage')}
        minutes={liquor.cooling.from60To21Min}
        limitMin={limits.first * 60}
        state={entry.now.tempC > 60 ? 'later' : entry.now.tempC > 21 ? 'running' : 'over'}
      />
      <Stage
        name={say('coolingWatch.secondStage')}
        minutes={liquor.cooling.from21To5Min}
        limitMin={limits.second * 60}
        state={entry.now.tempC > 21 ? 'later' : entry.now.tempC > 5 ? 'running' : 'over'}
      />
      <TempChart live={live} readings={readings} />
      <Fold summary={say('coolingWatch.fromNowAnotherWay')} testId="other-ways">
        <Box data-testid="warm-zone">
          {say('coolingWatch.betweenAndCIn', { warm: duration(liquor.cooling.warmMin) })}{' '}
          <Cold name={say('coolingWatch.toBottle')} targetC={BOTTLE_C} atMs={whenAt(BOTTLE_C)} live={live} />{' '}
          <Cold name={say('coolingWatch.toServe')} targetC={SERVE_C} atMs={whenAt(SERVE_C)} live={live} />
        </Box>
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }} data-testid="cooling-ways">
          {ways.map((w) => (
            <Box
              component="li"
              key={w.id}
              sx={{
                display: 'flex',
                gap: 1,
                flexWrap: 'wrap',
                justifyContent: 'space-between',
                py: 0.75,
                borderBottom: `1px solid ${role('hairline')}`,
                fontWeight: w.id === current ? 700 : undefined,
              }}
            >
              <span>
                {say(`cooling.${w.id}`)}
                {w.id === current ? say('coolingWatch.asNow') : ''}
              </span>
              <span>{wayText(w, own)}</span>
            </Box>
          ))}
        </Box>
      </Fold>
    </Box>
  );
}

/** "to 21 °C in 25 min, 1 h 10 sooner; 6.4 kg of ice". */
function wayText(way: CoolingWay, own: CoolingWay | undefined): string {
  const first = way.to21Min;
  const parts = [
    first === null
      ? say('coolingWatch.neverGetsToC')
      : first > 0
        ? say('coolingWatch.coolIn', { in: duration(first) })
        : way.toColdMin === null
          ? say('coolingWatch.neverGetsToC2')
          : say('coolingWatch.coldIn', { in: duration(way.toColdMin) }),
  ];
  const mine = first !== null && first > 0 ? own?.to21Min : own?.toColdMin;
  const its = first !== null && first > 0 ? first : way.toColdMin;
  if (mine != null && its != null && mine - its > 1)
    parts.push(say('coolingWatch.sooner', { mine: duration(mine - its) }));
  if (way.iceKg !== null && way.iceKg > 0.05)
    parts.push(say('coolingWatch.ofIce', { iceKg: kilograms(way.iceKg) }));
  return parts.join(', ');
}

function Cold(props: { name: string; targetC: number; atMs: number | null; live: LiveBatch }) {
  const { name, targetC, atMs, live } = props;
  const text =
    atMs === null
      ? say('coolingWatch.doesNotGetThere')
      : atMs <= live.nowMs
        ? 'now'
        : moment(atMs, live.nowMs, live.kitchen.zone);
  return <span>{say('coolingWatch.coldEnough', { name, targetC: celsius(targetC), text })}</span>;
}

/** Minutes used of a stage's limit: a bar, a word and a figure. */
function Stage(props: {
  name: string;
  minutes: number;
  limitMin: number;
  state: 'later' | 'running' | 'over';
}) {
  const { name, minutes, limitMin, state } = props;
  const share = Math.min(1, minutes / limitMin);
  const tone = minutes > limitMin ? 'danger' : share > 0.75 ? 'caution' : 'cold';
  return (
    <Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
        <span>{name}</span>
        <span>
          {sayRich('coolingWatch.of', {
            minutes: <strong>{duration(minutes)}</strong>,
            limit: duration(limitMin),
            state:
              minutes > limitMin
                ? say('coolingWatch.missed')
                : {
                    later: say('coolingWatch.notYet'),
                    running: say('coolingWatch.running'),
                    over: say('coolingWatch.kept'),
                  }[state],
          })}
        </span>
      </Box>
      <Box
        role="img"
        aria-label={say('coolingWatch.of2', { name, minutes: duration(minutes), limit: duration(limitMin) })}
        sx={{ height: 12, borderRadius: 6, bgcolor: role('hairline'), overflow: 'hidden' }}
      >
        <Box sx={{ width: `${share * 100}%`, height: '100%', bgcolor: role(tone) }} />
      </Box>
    </Box>
  );
}

import '../../words/places/gatherings.ts';
import type { GatheringDoc } from '@big-ladle/core/documents';
import {
  demandCurve,
  enoughL,
  type HouseThirst,
  leftOverL,
  runsOut,
  type Sized,
} from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { area, line } from 'd3-shape';
import { memo, useMemo, useState } from 'react';
import { Panel } from '../../shared/ui.tsx';
import { useWidth } from '../../shared/useWidth.ts';
import { heading, role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { litres } from '../../words/quantities.ts';
import { percent, say } from '../../words/say.ts';

const HIGH = 150;
const TOP = 14;
/** Nobody asks for less, or for more, than that. */
const LEAST = 0.5;
const MOST = 0.99;

interface HowMuchProps {
  gathering: GatheringDoc;
  sized: Sized;
  house: HouseThirst;
  onAssurance: (assurance: number) => void;
}

/** Running out against what is left over: one mark moves both. Nothing is drawn where nobody drinks. */
export const HowMuch = memo(function HowMuch(props: HowMuchProps) {
  const { demand } = props.sized;
  const curve = useMemo(() => demandCurve(demand, 0), [demand]);
  return curve.length > 0 ? <Curve {...props} curve={curve} /> : null;
});

function Curve(props: HowMuchProps & { curve: ReturnType<typeof demandCurve> }) {
  const { gathering, sized, house, onAssurance, curve } = props;
  const { demand } = sized;
  const [ref, width] = useWidth<HTMLDivElement>();
  const [held, setHeld] = useState<number | null>(null);
  const [from, to] = [curve[0]!.litres, curve.at(-1)!.litres];
  const at = held ?? enoughL(demand, gathering.assurance);
  const mostLeft = curve.at(-1)!.leftL;
  const x = (l: number) => ((l - from) / (to - from)) * width;
  const y = (share: number) => TOP + (HIGH - TOP) * (1 - share);
  const chance = line<(typeof curve)[number]>()
    .x((p) => x(p.litres))
    .y((p) => y(p.runsOut));
  const left = area<(typeof curve)[number]>()
    .x((p) => x(p.litres))
    .y0(HIGH)
    .y1((p) => y((p.leftL / mostLeft) * 0.9));
  const sure = 1 - runsOut(demand, at);
  const settle = (l: number) => {
    setHeld(null);
    onAssurance(Math.round(100 * Math.min(MOST, Math.max(LEAST, 1 - runsOut(demand, l)))) / 100);
  };
  return (
    <Panel title={say('howMuch.title')} aside={say('howMuch.drag')} testId="how-much">
      <Box ref={ref} sx={{ position: 'relative' }}>
        {width > 0 && (
          <svg width={width} height={HIGH + 2} aria-hidden="true" style={{ display: 'block' }}>
            <path d={left(curve) ?? ''} fill={role('enamelDeep')} />
            <path d={chance(curve) ?? ''} fill="none" stroke={role('ink')} strokeWidth={3} />
            <line x1={x(at)} x2={x(at)} y1={0} y2={HIGH} stroke={role('rim')} strokeWidth={2} />
            <line x1={0} x2={width} y1={HIGH} y2={HIGH} stroke={role('line')} />
            <text x={width * 0.24} y={TOP + 8} fontSize={13} fontWeight={700} fill={role('ink')}>
              {say('howMuch.runningOut')}
            </text>
            <text
              x={width - 6}
              y={HIGH - 12}
              fontSize={13}
              fontWeight={700}
              textAnchor="end"
              fill={role('rim')}
            >
              {say('howMuch.leftOver')}
            </text>
          </svg>
        )}
        <Slider
          aria-label={say('howMuch.litres')}
          value={at}
          min={from}
          max={to}
          step={0.1}
          valueLabelDisplay="off"
          getAriaValueText={(l) => litres(l)}
          onChange={(_, l) => setHeld(l as number)}
          onChangeCommitted={(_, l) => settle(l as number)}
          sx={{ display: 'block', py: 1 }}
        />
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
        <Box sx={{ ...heading, fontSize: '1.4rem' }} data-testid="to-make">
          {litres(at)}
        </Box>
        <Box data-testid="enough">
          {say('howMuch.enough', { of: num(sure * 100), left: litres(leftOverL(demand, at)) })}
        </Box>
      </Box>
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.5 }}>
        {say('howMuch.sure', { count: house.gatherings, factor: percent(house.factor) })}
      </Box>
    </Panel>
  );
}

import '../../words/places/stove.ts';
import { saysAlcohol } from '@big-ladle/core/program';
import { areaM2 } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { Announced } from '../../shared/batch/Calling.tsx';
import { useTick } from '../../shared/time.ts';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { celsius, litres } from '../../words/quantities.ts';
import { clockFace, say } from '../../words/say.ts';
import type { BoardEntry } from './board.ts';

const W = 272;
const H = 232;

/** What is on, as pots with their clock beside them, in the order of what comes next. */
export function OnTheStove({ board }: { board: readonly BoardEntry[] }) {
  return (
    <Panel title={say('onTheStove.onNow')}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
        {board.map((b) => {
          const scale = Math.min((W - 50) / b.pot.diameterCm, (H - 46) / b.pot.heightCm);
          const w = b.pot.diameterCm * scale;
          const h = b.pot.heightCm * scale;
          const left = (W - w) / 2;
          const top = H - h - 6;
          const cm = b.levelCm ?? (b.volumeL * 1000) / (areaM2(b.pot.diameterCm / 100) * 1e4);
          const level = Math.min(h, cm * scale);
          const clock = b.clock;
          return (
            <Box
              key={b.id}
              component={Link}
              to={`/batches/${b.id}/stove`}
              data-testid="on-pot"
              sx={{
                color: role('ink'),
                textDecoration: 'none',
                display: 'flex',
                gap: 2,
                alignItems: 'flex-end',
                flexWrap: 'wrap',
                borderRadius: 2,
                '&:hover h3': { textDecoration: 'underline' },
              }}
            >
              <svg
                width={W}
                height={H}
                viewBox={`0 0 ${W} ${H}`}
                role="img"
                aria-label={say('onTheStove.at', {
                  potName: b.potName,
                  volume: litres(b.volumeL),
                  tempC: celsius(b.tempC),
                })}
              >
                <rect x={left} y={H - 6 - level} width={w} height={level} fill={b.colour} />
                <path
                  d={`M ${left - 10} ${top} L ${left} ${top} L ${left} ${H - 14} Q ${left} ${H - 6} ${left + 8} ${H - 6} L ${left + w - 8} ${H - 6} Q ${left + w} ${H - 6} ${left + w} ${H - 14} L ${left + w} ${top} L ${left + w + 10} ${top}`}
                  fill="none"
                  stroke={role('rim')}
                  strokeWidth={4}
                  strokeLinecap="round"
                  strokeLinejoin="round"
                />
                {b.lidOn && (
                  <g stroke={role('rim')} strokeWidth={4} strokeLinecap="round">
                    <line x1={left - 8} x2={left + w + 8} y1={top - 9} y2={top - 9} />
                    <line x1={W / 2 - 9} x2={W / 2 + 9} y1={top - 17} y2={top - 17} />
                  </g>
                )}
                {b.hot && (
                  <g stroke={role('heat')} strokeWidth={3} strokeLinecap="round" fill="none">
                    {[-26, 0, 26].map((dx) => (
                      <path key={dx} d={`M ${W / 2 + dx} ${top - 6} q 6 -6 0 -12 q -6 -6 0 -12`} />
                    ))}
                  </g>
                )}
              </svg>
              <Box sx={{ pb: 1, minWidth: 190 }}>
                {clock && (
                  <>
                    <HomeClock endMs={clock.endMs} />
                    <Box sx={{ color: role('inkMuted'), mb: 1 }}>{clock.word}</Box>
                    <Announced label={sayDrink(b.recipeId)} endMs={clock.endMs} />
                  </>
                )}
                <Box component="h3" sx={{ ...heading, fontSize: '1.25rem', m: 0 }}>
                  {sayDrink(b.recipeId)}
                </Box>
                <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                  {b.potName}, {b.stepName.toLowerCase()}
                  {b.volumeL > 0.05 && (
                    <>
                      {' '}
                      {say('onTheStove.at2', {
                        volume: litres(b.volumeL),
                        tempC: celsius(b.tempC),
                        alcohol: say('mark.alcohol'),
                        isSaysAlcohol: Boolean(saysAlcohol(b.abvPct)),
                      })}
                    </>
                  )}
                </Box>
              </Box>
            </Box>
          );
        })}
      </Box>
    </Panel>
  );
}

function HomeClock({ endMs }: { endMs: number }) {
  const nowMs = useTick();
  const { face, unit } = clockFace(endMs - nowMs);
  return (
    <Box
      role="timer"
      aria-live="off"
      data-testid="home-clock"
      data-end-ms={Math.round(endMs)}
      sx={{ ...heading, fontSize: '3.75rem', lineHeight: 1 }}
    >
      {endMs > nowMs ? face : say('common.now')}
      {endMs > nowMs && (
        <Box component="span" sx={{ fontSize: '0.35em', color: role('inkMuted'), ml: 0.75 }}>
          {unit}
        </Box>
      )}
    </Box>
  );
}

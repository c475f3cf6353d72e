import '../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useRef, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { unlockSound, useSound } from '../../../shared/alarms.ts';
import { CallingAloud } from '../../../shared/batch/Calling.tsx';
import { colours } from '../../../shared/batch/liquorColour.ts';
import { useBoard } from '../../../shared/batch/state.ts';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { useOutbox } from '../../../shared/outboxStore.ts';
import { useScheme } from '../../../shared/scheme.ts';
import { useAwake } from '../../../shared/signals.ts';
import { Caution, ErrorPanel, Loading } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { tintShare } from '../../../theme/tint.ts';
import { NIGHT } from '../../../theme/tokens.ts';
import { sayStepProblem } from '../../../words/coreWords.ts';
import { sayDrink } from '../../../words/names.ts';
import { clockFace, say } from '../../../words/say.ts';
import { type LiveBatch, useLiveBatch } from '../useLiveBatch.ts';
import { GetReady, thingsToGetReady } from './GetReady.tsx';
import { StoveFootContext } from './PrimaryAction.tsx';
import { StepBody } from './StepBody.tsx';
import { StoveEnd } from './StoveEnd.tsx';
import { StoveFoot } from './StoveFoot.tsx';
import { ToolTray } from './tools/ToolTray.tsx';
import { type Stove, useStove } from './useStove.ts';
import { Rehearsing } from './watch/Rehearsing.tsx';

/** One thing to do, very large, the running clocks always in sight. */
export function StovePage() {
  const { id = '' } = useParams();
  const { live, batch, isPending, error, refetch } = useLiveBatch(id);
  const board = useBoard();
  const offline = useOutbox((s) => s.offline);
  // Clocks of other pots stand above the step: nothing jumps when they come.
  if (live && !(board.isPending && !offline)) return <StoveScreen key={id} live={live} />;
  if (isPending || live) return <Loading />;
  if (error) return <ErrorPanel error={error} again={refetch} />;
  return batch ? <Navigate to={`/batches/${id}`} replace /> : <ErrorPanel error={error} again={refetch} />;
}

/** How far it is: of the clock that runs, else of all steps; 0 to 1. */
function shareDone({ live, clocks }: Stove): number {
  const { step, program, nowMs } = live;
  const { main } = clocks;
  if (main && main.endMs > main.startMs)
    return Math.min(1, Math.max(0, (nowMs - main.startMs) / (main.endMs - main.startMs)));
  return step ? program.steps.indexOf(step) / program.steps.length : 1;
}

/** What the tab is called: the clock that runs, and the step. */
const tabTitle = ({ live, clocks }: Stove, nowMs: number): string => {
  const { step, program } = live;
  const name = step ? stepName(step, program) : '';
  return clocks.main
    ? say('stovePage.bigLadle', {
        face: clockFace(Math.max(0, clocks.main.endMs - nowMs)).face,
        stepName: name,
      })
    : say('stovePage.bigLadle2', { stepName: step ? name : say('stovePage.done') });
};

function StoveScreen({ live }: { live: LiveBatch }) {
  const { step, program, now, batch } = live;
  const [place, setPlace] = useState<HTMLElement | null>(null);
  const next = useRef<{ current: () => void }[]>([]);
  const foot = useMemo(() => ({ place, next }), [place]);
  const stove = useStove(live, () => next.current.at(-1)?.current());
  const { clocks, gettingReady, ticks } = stove;
  const { on: sound } = useSound();
  const { night } = useScheme();
  useAwake();
  const entry = now.moment?.trace.at(-1);
  const look = colours(
    entry && entry.now.volumeL > 0.05 ? entry : now.forecast.trace.findLast((t) => t.now.volumeL > 0.05),
  );
  const tint = `color-mix(in srgb, ${look.glass} ${tintShare(look.glass, NIGHT) * 100}%, ${role('ground')})`;
  const things = gettingReady ? thingsToGetReady(live) : [];
  const missing = things.filter((t) => !ticks.ticked.includes(t.code)).length;
  return (
    <StoveFootContext.Provider value={foot}>
      <Box
        component="main"
        onPointerDown={() => sound && unlockSound()}
        sx={{
          minHeight: '100vh',
          color: role('ink'),
          bgcolor: role('ground'),
          // By night the drink's colour rises behind the words.
          ...(night ? { backgroundImage: `linear-gradient(transparent, ${tint} 64px)` } : {}),
          backgroundRepeat: 'no-repeat',
          backgroundPosition: 'bottom',
          backgroundSize: `100% ${Math.round(12 + 70 * shareDone(stove))}%`,
          backgroundAttachment: 'fixed',
          display: 'flex',
          flexDirection: 'column',
          fontSize: '1.15rem',
          // Read from two metres, tapped with wet thumbs.
          '& .MuiToggleButton-root': { minHeight: 56, minWidth: 56, fontSize: '1.1rem' },
          '& .MuiInputBase-root': { minHeight: 56 },
          '& .MuiInputBase-input': { fontSize: '1.25rem' },
        }}
      >
        <Box
          sx={{
            width: '100%',
            maxWidth: 760,
            mx: 'auto',
            p: 2.25,
            // Clear of the foot, which is taller while clocks stand in it: the last row must come up above it.
            pb: clocks.small.length > 0 ? 32 : 22,
            display: 'grid',
            gridTemplateColumns: 'minmax(0,1fr)',
            gap: 2,
          }}
        >
          <TopLine live={live} />
          <CallingAloud
            moments={stove.moments}
            title={(nowMs) => tabTitle(stove, nowMs)}
            batch={batch}
            stepText={step ? stepName(step, program) : ''}
          />
          {now.forecast.problem && (
            <Caution
              severity="danger"
              word={say('stovePage.thePlanStops')}
              text={sayStepProblem(now.forecast.problem, { vessel: live.pot.name })}
            />
          )}
          {gettingReady && <GetReady things={things} ticks={ticks} />}
          {step && !gettingReady && <StepBody stove={stove} step={step} spoonNow={look} />}
          {!step && <StoveEnd live={live} />}
          {!step && <Rehearsing live={live} />}
          {step && !gettingReady && <ToolTray stove={stove} step={step} />}
        </Box>
        <StoveFoot stove={stove} missing={missing} setPlace={setPlace} />
      </Box>
    </StoveFootContext.Provider>
  );
}

/** Which drink, which step of how many, and the way to the table. */
function TopLine({ live }: { live: LiveBatch }) {
  const { batch, program, step, recipe } = live;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, color: role('inkMuted'), fontSize: '1.05rem' }}>
      <Button
        component={Link}
        to={`/batches/${batch.id}`}
        color="inherit"
        sx={{ px: 1, ml: -1, minHeight: 56, whiteSpace: 'nowrap' }}
      >
        {say('stovePage.table')}
      </Button>
      <Box sx={{ minWidth: 0 }}>{sayDrink(program.recipeId, recipe.name)}</Box>
      <Box sx={{ ml: 'auto', whiteSpace: 'nowrap' }}>
        {step
          ? say('stovePage.stepOf', { at: program.steps.indexOf(step) + 1, count: program.steps.length })
          : say('stage.state.done')}
      </Box>
    </Box>
  );
}

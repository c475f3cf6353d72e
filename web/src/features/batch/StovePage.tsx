import { Fold } from '../../shared/Fold.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import '../../words/places/batch.ts';
import { draws, guidanceFor, isPot, saysAlcohol, standsSideBySide } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { AlarmQueue } from '../../shared/AlarmQueue.tsx';
import { announcement, unlockSound, useAlarmState, useAlarms, useSound } from '../../shared/alarms.ts';
import { colours, tintShare } from '../../shared/batch/liquorColour.ts';
import { momentsOf } from '../../shared/batch/moments.ts';
import { clocksOf, useOnBatches } from '../../shared/batch/onBatches.ts';
import { SideJobs } from '../../shared/batch/SideJobs.tsx';
import { placeName, stepDeed, stepHow, stepName } from '../../shared/batch/stepWords.ts';
import { Guidance } from '../../shared/Guidance.tsx';
import { deedText } from '../../shared/log/logWords.ts';
import { useScheme } from '../../shared/scheme.ts';
import { useAwake, useCalls, useStoveKeys } from '../../shared/signals.ts';
import { Caution, ErrorPanel, Loading, VisuallyHidden } from '../../shared/ui.tsx';
import { undoOf } from '../../shared/undo.ts';
import { heading, role, thumb } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { celsius, clockFace, litres, moment, num, say, sayNote, sayStepProblem } from '../../words/say.ts';
import { AskHere } from './AskHere.tsx';
import { AskSound } from './AskSound.tsx';
import { BottleForm } from './BottleForm.tsx';
import { Changed } from './Changed.tsx';
import { CoolingWatch } from './CoolingWatch.tsx';
import { FlameOut } from './FlameOut.tsx';
import { GetReady, thingsToGetReady } from './GetReady.tsx';
import { GuestsAreHere } from './GuestsAreHere.tsx';
import { InstrumentStrip } from './InstrumentStrip.tsx';
import { LotStir } from './LotStir.tsx';
import { LotsForm, SPLITTABLE } from './LotsForm.tsx';
import { MeasureForm } from './MeasureForm.tsx';
import { PartsAsTheyAre } from './PartsAsTheyAre.tsx';
import { PrimaryActionSlot } from './PrimaryAction.tsx';
import { Rehearsing } from './Rehearsing.tsx';
import { SignalsPanel } from './SignalsPanel.tsx';
import { SomethingElse } from './SomethingElse.tsx';
import { Squeeze } from './Squeeze.tsx';
import { StepAmounts } from './StepAmounts.tsx';
import { StopBatch } from './StopBatch.tsx';
import { StoveEnd } from './StoveEnd.tsx';
import { SweetenForm } from './SweetenForm.tsx';
import { BigClock, LimitLine } from './stove/BigClock.tsx';
import { LastTime } from './stove/LastTime.tsx';
import { Measured } from './stove/Measured.tsx';
import { OwnClock } from './stove/OwnClock.tsx';
import { Retime } from './stove/Retime.tsx';
import { Cues, SpoonNowAndThen, showsColour } from './stove/Signs.tsx';
import { SmallClocks } from './stove/SmallClocks.tsx';
import { useTicks } from './TickList.tsx';
import { TooEarly } from './TooEarly.tsx';
import { type LiveBatch, useLiveBatch } from './useBatchNow.ts';
import { Washing } from './Washing.tsx';

/** Steps whose form tells their amounts itself. */
const TELLS_ITSELF: ReadonlySet<string> = new Set(['pick', 'wash', 'sweeten', 'strain', 'bottle']);
/** Steps whose form holds the one wide button: what it says follows from what was entered. */
const OWN_DEED: ReadonlySet<string> = new Set(['strain', 'sweeten', 'bottle']);

/** The tick that all is ready. */
const READY = 'ready';

/** The clock that one key starts. */
const QUICK_CLOCK_MIN = 10;

/** One thing to do, very large, the running clocks always in sight. */
export function StovePage() {
  const { id = '' } = useParams();
  const { live, batch, isPending, error, refetch } = useLiveBatch(id);
  if (live) return <StoveScreen key={id} live={live} />;
  if (isPending) return <Loading />;
  if (error) return <ErrorPanel error={error} again={refetch} />;
  return batch ? <Navigate to={`/batches/${id}`} replace /> : <ErrorPanel error={error} again={refetch} />;
}

function StoveScreen({ live }: { live: LiveBatch }) {
  const { step, program, kitchen, now, nowMs, batch } = live;
  const [tool, setTool] = useState<
    'measure' | 'guests' | 'lots' | 'else' | 'retime' | 'clock' | 'signals' | 'stop' | null
  >(null);
  const [foot, setFoot] = useState<HTMLElement | null>(null);
  const { on } = useOnBatches(nowMs);
  const { acknowledge } = useAlarmState();
  const { on: sound } = useSound();
  const [more, setMore] = useState(false);
  const ticks = useTicks(`big-ladle-ready-${batch.id}`);
  const { night } = useScheme();
  const { zone } = kitchen;
  const drink = sayDrink(program.recipeId, live.recipe.name);
  const mine = clocksOf(
    { batch, now, step },
    (s) => `${placeName(program, kitchen, s)}, ${stepName(s, program).toLowerCase()}`,
  );
  const others = on
    // A rehearsal has a time of its own: what is really on does not call in it.
    .filter((o) => !batch.rehearsal && o.batch.id !== batch.id)
    .flatMap((o) =>
      clocksOf(
        o,
        (s) =>
          `${sayDrink(o.batch.pins!.program.recipeId, o.batch.pins!.recipe.name)}, ${stepName(s, o.batch.pins!.program).toLowerCase()}`,
      ),
    );
  const main = mine.find((c) => c.clockId === null) ?? null;
  const small = [...mine.filter((c) => c !== main), ...others].sort((a, b) => a.endMs - b.endMs);
  const title = main
    ? say('stovePage.bigLadle', {
        face: clockFace(Math.max(0, main.endMs - nowMs)).face,
        stepName: step ? stepName(step, program) : '',
      })
    : say('stovePage.bigLadle2', { stepName: step ? stepName(step, program) : say('stovePage.done') });
  const due = useAlarms([...mine, ...others].flatMap(momentsOf), nowMs, title);

  const entry = now.moment?.trace.at(-1);
  const forecast = now.forecast.trace.find((t) => t.stepId === step?.id);
  // How long it takes to the boil is told by the clock, as of now.
  const notes = (forecast?.notes ?? []).filter((note) => !(main && note.code === 'heat.takes'));
  const guidance = step ? guidanceFor(program, step, forecast ?? entry, kitchen, live.tables) : [];
  const share =
    main && main.endMs > main.startMs
      ? Math.min(1, Math.max(0, (nowMs - main.startMs) / (main.endMs - main.startMs)))
      : step
        ? program.steps.indexOf(step) / program.steps.length
        : 1;
  const look = colours(
    entry && entry.now.volumeL > 0.05 ? entry : now.forecast.trace.findLast((t) => t.now.volumeL > 0.05),
  );
  const tint = `color-mix(in srgb, ${look.glass} ${tintShare(look.glass) * 100}%, ${role('ground')})`;
  const back = undoOf(live.events);
  const undo = () => back && void live.record(back.deeds);
  const wet = (entry?.now.volumeL ?? 0) > 0.05;
  const toolButton = (name: NonNullable<typeof tool>, text: string) => (
    <Button
      variant="outlined"
      color="inherit"
      sx={thumb}
      aria-expanded={tool === name}
      onClick={() => setTool(tool === name ? null : name)}
    >
      {text}
    </Button>
  );
  useCalls(due, step ? stepName(step, program) : '');
  useAwake();
  useStoveKeys({
    // Whichever form has put the one wide button there.
    next: () => document.querySelector<HTMLButtonElement>('[data-next]:not(:disabled)')?.click(),
    back: undo,
    start: () => {
      const clockId = uuid();
      void live.record([
        { kind: 'clockStarted', body: { clockId, code: 'clock.quick', minutes: QUICK_CLOCK_MIN } },
      ]);
    },
    quiet: () => due[0] && acknowledge(due[0].key),
  });
  // Before the first step, until the cook says that all stands there: nothing is held up by it.
  const gettingReady =
    step !== null && step === program.steps[0] && !batch.rehearsal && !ticks.ticked.includes(READY);
  const things = gettingReady ? thingsToGetReady(live) : [];
  const missing = things.filter((t) => !ticks.ticked.includes(t.code)).length;
  const end = () => {
    setTool(null);
    setMore(false);
    if (step) void live.record([{ kind: 'stepEnded', body: { stepId: step.id } }]);
  };

  return (
    <PrimaryActionSlot.Provider value={foot}>
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
          backgroundSize: `100% ${Math.round(12 + 70 * share)}%`,
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
            pb: small.length > 0 ? 32 : 22,
            display: 'grid',
            gridTemplateColumns: 'minmax(0,1fr)',
            gap: 2,
          }}
        >
          <Box
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              color: role('inkMuted'),
              fontSize: '1.05rem',
            }}
          >
            <Button
              component={Link}
              to={`/batches/${batch.id}`}
              color="inherit"
              sx={{ px: 1, ml: -1, minHeight: 56, whiteSpace: 'nowrap' }}
            >
              {say('stovePage.table')}
            </Button>
            <Box sx={{ minWidth: 0 }}>{drink}</Box>
            <Box sx={{ ml: 'auto', whiteSpace: 'nowrap' }}>
              {step
                ? say('stovePage.stepOf', {
                    at: program.steps.indexOf(step) + 1,
                    count: program.steps.length,
                  })
                : say('stage.state.done')}
            </Box>
          </Box>

          <AlarmQueue due={due} />

          {now.forecast.problem && (
            <Caution
              severity="danger"
              word={say('stovePage.thePlanStops')}
              text={sayStepProblem(now.forecast.problem, { vessel: live.pot.name })}
            />
          )}

          {gettingReady && <GetReady things={things} ticks={ticks} />}
          {step && !gettingReady && (
            <>
              <Box>
                <PageTitle
                  title={stepName(step, program)}
                  sx={{ ...heading, fontSize: 'clamp(2.2rem, 9vw, 3.4rem)', lineHeight: 1.05, m: 0 }}
                  own
                />
                {standsSideBySide(program) && [...step.from, ...step.to].some(isPot) && (
                  <Box data-testid="which-pot" sx={{ mt: 0.5, fontSize: '1.3rem', fontWeight: 700 }}>
                    {placeName(program, kitchen, step)}
                  </Box>
                )}
                {step.text && (
                  <Box
                    data-testid="own-words"
                    sx={{ mt: 1, fontSize: '1.45rem', lineHeight: 1.25, whiteSpace: 'pre-line' }}
                  >
                    {step.text}
                  </Box>
                )}
                <Box sx={{ mt: 1, ...(step.text ? { color: role('inkMuted') } : { fontSize: '1.2rem' }) }}>
                  {stepHow(step, program, true)}
                </Box>
                {entry && saysAlcohol(entry.now.abvPct) && (
                  <Box data-testid="with-alcohol" sx={{ mt: 1, fontWeight: 700, color: role('caution') }}>
                    {say('mark.alcohol')}, {num(entry.now.abvPct, 1)} %
                  </Box>
                )}
                {main?.limitMs != null && <LimitLine limitMs={main.limitMs} nowMs={nowMs} zone={zone} />}
                {main?.draws && (main.limitMs === null || main.endMs < main.limitMs) && (
                  <Box sx={{ mt: 0.5, color: role('inkMuted') }}>
                    {say('stovePage.bestStrainedNotBefore', {
                      end: moment(main.endMs, nowMs, zone),
                      min: main.minMs === null ? '' : moment(main.minMs, nowMs, zone),
                      minIs: main.minMs !== null,
                      max: main.maxMs === null ? '' : moment(main.maxMs, nowMs, zone),
                      maxIs: main.maxMs !== null,
                    })}
                  </Box>
                )}
              </Box>

              {main && <BigClock clock={main} nowMs={nowMs} />}
              {main && !batch.rehearsal && <AskSound />}
              <FlameOut live={live} />
              <VisuallyHidden>
                <span aria-live="polite">{main ? announcement(main.label, main.endMs, nowMs) : ''}</span>
              </VisuallyHidden>

              <Rehearsing live={live} />
              {step && entry && ['heat', 'boil', 'steep', 'soak', 'cool'].includes(step.kind) && (
                <Box sx={{ color: role('inkMuted') }} data-testid="vessel-now">
                  {say('stovePage.theModelHasAt', {
                    volume: litres(entry.now.volumeL, 2),
                    tempC: celsius(entry.now.tempC),
                    levelCm: num(entry.now.levelCm ?? 0, 1),
                    levelCmIs: entry.now.levelCm !== null,
                  })}
                </Box>
              )}
              {!TELLS_ITSELF.has(step.kind) && step.lines.length > 0 && (
                <StepAmounts live={live} step={step} />
              )}
              <PartsAsTheyAre live={live} />
              <Squeeze live={live} />
              <LotStir key={step?.id} live={live} />
              {step && <Washing key={`washing-${step.id}`} live={live} step={step} />}
              {step?.kind === 'strain' && (
                <Box sx={{ display: 'grid', gap: 1 }}>
                  <Box>{say('stovePage.howMuchCameOut')}</Box>
                  <MeasureForm
                    live={live}
                    closing={{
                      label: say('deed.strain'),
                      deed: { kind: 'stepEnded', body: { stepId: step.id } },
                    }}
                  />
                  <Measured live={live} />
                </Box>
              )}
              {step?.kind === 'sweeten' && <SweetenForm key={step.id} live={live} onEnough={() => end()} />}
              {step?.kind === 'bottle' && <BottleForm key={step.id} live={live} />}
              {notes.map((note) => (
                <Box
                  key={note.code}
                  sx={{ color: note.code.startsWith('boil') ? role('caution') : role('inkMuted') }}
                >
                  {sayNote(note)}
                </Box>
              ))}

              {showsColour(step) ? (
                <Fold summary={say('stovePage.signs')} testId="signs">
                  <SpoonNowAndThen now={look} then={colours(forecast)} />
                  <Cues live={live} step={step} />
                </Fold>
              ) : (
                <Cues live={live} step={step} />
              )}
              <SideJobs
                on={
                  batch.rehearsal
                    ? [{ batch, now, step }]
                    : [{ batch, now, step }, ...on.filter((o) => o.batch.id !== batch.id)]
                }
                nowMs={nowMs}
                zone={zone}
              />
              {step && <LastTime live={live} step={step} />}
              <Changed live={live} />
              <CoolingWatch live={live} />
              <InstrumentStrip live={live} />
              {step && (
                <AskHere
                  live={live}
                  step={step}
                  asksWater={guidance.some((g) => g.code === 'water.drinkable')}
                />
              )}
              {step && (program.steps[0] === step || step.kind === 'bottle') && <TooEarly live={live} />}
              {step && <Guidance key={`guidance-${step.id}`} rows={guidance} />}
            </>
          )}
          {!step && <StoveEnd live={live} />}
          {!step && <Rehearsing live={live} />}

          {step && !gettingReady && (
            <Box sx={{ display: 'grid', gap: 1.5 }}>
              <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                {step.kind !== 'strain' && wet && toolButton('measure', say('measureForm.measure'))}
                {draws(step) && wet && toolButton('guests', say('guestsAreHere.guestsAreHere'))}
                <Button
                  variant="outlined"
                  color="inherit"
                  sx={thumb}
                  aria-expanded={more}
                  onClick={() => setMore(!more)}
                >
                  {more ? say('stovePage.less') : say('stovePage.more')}
                </Button>
              </Box>
              <Box
                sx={{ display: more ? 'flex' : 'none', gap: 1, flexWrap: 'wrap' }}
                data-testid="more-tools"
              >
                {SPLITTABLE.has(step.kind) && wet && toolButton('lots', say('lotsForm.splitItIntoLots'))}
                {toolButton('else', say('somethingElse.somethingElse'))}
                {program.steps.indexOf(step) > 0 && toolButton('retime', say('stovePage.itBeganEarlier'))}
                {toolButton('clock', say('stovePage.anotherClock'))}
                {toolButton('signals', say('signalsPanel.signals'))}
                {toolButton('stop', say('stop.title'))}
                <Button
                  variant="outlined"
                  color="inherit"
                  sx={thumb}
                  onClick={() => void live.record([{ kind: 'skipped', body: { stepId: step.id } }])}
                  disabled={['combine', 'strain', 'bottle', 'boil'].includes(step.kind)}
                >
                  {say('stovePage.skipThis')}
                </Button>
              </Box>
              {tool === 'measure' && <MeasureForm live={live} onDone={() => setTool(null)} />}
              {tool === 'measure' && <Measured live={live} />}
              {tool === 'guests' && <GuestsAreHere live={live} onDone={() => setTool(null)} />}
              {tool === 'lots' && <LotsForm live={live} onDone={() => setTool(null)} />}
              {tool === 'else' && <SomethingElse live={live} onDone={() => setTool(null)} />}
              {tool === 'signals' && <SignalsPanel />}
              {tool === 'stop' && <StopBatch live={live} onDone={() => setTool(null)} />}
              {tool === 'retime' && <Retime live={live} onDone={() => setTool(null)} />}
              {tool === 'clock' && <OwnClock live={live} onDone={() => setTool(null)} />}
            </Box>
          )}
        </Box>

        <Box
          sx={{
            position: 'fixed',
            left: 0,
            right: 0,
            bottom: 0,
            bgcolor: role('ground'),
            borderTop: `2px solid ${role('rimSoft')}`,
            zIndex: 5,
          }}
        >
          <Box sx={{ maxWidth: 760, mx: 'auto', p: 1.5, display: 'grid', gap: 1.25 }}>
            <SmallClocks clocks={small} nowMs={nowMs} live={live} />
            <Box sx={{ display: 'flex', gap: 1 }}>
              <Button
                variant="outlined"
                color="inherit"
                sx={{ minHeight: 72, px: 2.5 }}
                disabled={!back}
                onClick={undo}
                aria-label={
                  back
                    ? say('batchPage.undo', { deedText: deedText(back.told, live.program) })
                    : say('common.undo')
                }
              >
                {say('common.undo')}
              </Button>
              <Box
                ref={setFoot}
                sx={{ flex: 1, display: OWN_DEED.has(step?.kind ?? '') ? 'flex' : 'none' }}
              />
              {step && now.flameOut && (
                <Button
                  variant="contained"
                  sx={{ flex: 1, minHeight: 72, fontSize: '1.35rem' }}
                  data-next
                  onClick={() => void live.record([{ kind: 'flame', body: { stepId: step.id, on: true } }])}
                >
                  {say('stovePage.theFlameIsBack')}
                </Button>
              )}
              {gettingReady && (
                <Button
                  variant="contained"
                  sx={{ flex: 1, minHeight: 72, fontSize: '1.35rem', flexDirection: 'column' }}
                  data-testid="ready"
                  data-next
                  onClick={() => ticks.tick(READY, true)}
                >
                  {stepName(step, program)}
                  {missing > 0 && (
                    <Box component="span" sx={{ fontSize: '0.95rem', fontWeight: 400 }}>
                      {say('getReady.missing', { missing })}
                    </Box>
                  )}
                </Button>
              )}
              {step && !gettingReady && !now.flameOut && !OWN_DEED.has(step.kind) && (
                <Button
                  variant="contained"
                  sx={{ flex: 1, minHeight: 72, fontSize: '1.35rem' }}
                  data-testid="done"
                  data-next
                  onClick={() => end()}
                >
                  {main?.draws && nowMs < main.endMs
                    ? say('stovePage.strainNowInstead')
                    : stepDeed(step, program)}
                </Button>
              )}
            </Box>
          </Box>
        </Box>
      </Box>
    </PrimaryActionSlot.Provider>
  );
}

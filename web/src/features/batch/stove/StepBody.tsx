import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import { guidanceFor, type Step, type TraceEntry } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Announced } from '../../../shared/batch/Calling.tsx';
import { isTimed } from '../../../shared/batch/clocks.ts';
import { colours } from '../../../shared/batch/liquorColour.ts';
import { SideJobs } from '../../../shared/batch/SideJobs.tsx';
import { Fold } from '../../../shared/Fold.tsx';
import { Guidance } from '../../../shared/Guidance.tsx';
import { role } from '../../../theme/theme.ts';
import { sayNote } from '../../../words/coreWords.ts';
import { celsius, centimetres, litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { TooEarly } from '../TooEarly.tsx';
import { AskHere } from './asks/AskHere.tsx';
import { AskSound } from './asks/AskSound.tsx';
import { BestReading } from './asks/BestReading.tsx';
import { Changed } from './asks/Changed.tsx';
import { FlameOut } from './asks/FlameOut.tsx';
import { LotStir } from './asks/LotStir.tsx';
import { PartsAsTheyAre } from './asks/PartsAsTheyAre.tsx';
import { Squeeze } from './asks/Squeeze.tsx';
import { StepAmounts } from './asks/StepAmounts.tsx';
import { Washing } from './asks/Washing.tsx';
import { BigClock } from './BigClock.tsx';
import { BottleForm } from './forms/BottleForm.tsx';
import { Measured } from './forms/Measured.tsx';
import { MeasureForm } from './forms/MeasureForm.tsx';
import { SweetenForm } from './forms/SweetenForm.tsx';
import { LastTime } from './LastTime.tsx';
import { Cues, SpoonNowAndThen, showsColour } from './Signs.tsx';
import { StepHead } from './StepHead.tsx';
import type { Stove } from './useStove.ts';
import { CoolingWatch } from './watch/CoolingWatch.tsx';
import { InstrumentStrip } from './watch/InstrumentStrip.tsx';
import { Rehearsing } from './watch/Rehearsing.tsx';

/** Steps whose form tells their amounts itself. */
const TELLS_ITSELF: ReadonlySet<Step['kind']> = new Set(['pick', 'wash', 'sweeten', 'strain', 'bottle']);

/** The form that a step asks for, by its kind; most are done and over. */
const FORMS: Partial<Record<Step['kind'], (stove: Stove, step: Step) => ReactNode>> = {
  strain: ({ live }, step) => (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box>{say('stovePage.howMuchCameOut')}</Box>
      <MeasureForm
        live={live}
        closing={{ label: say('deed.strain'), deed: { kind: 'stepEnded', body: { stepId: step.id } } }}
      />
      <Measured live={live} />
    </Box>
  ),
  sweeten: ({ live, end }, step) => <SweetenForm key={step.id} live={live} onEnough={end} />,
  bottle: ({ live }, step) => <BottleForm key={step.id} live={live} />,
};

/** What the model has in the vessel while a clock runs. */
function VesselNow({ entry }: { entry: TraceEntry }) {
  return (
    <Box sx={{ color: role('inkMuted') }} data-testid="vessel-now">
      {say('stovePage.theModelHasAt', {
        volume: litres(entry.now.volumeL, 2),
        tempC: celsius(entry.now.tempC),
        levelCm: centimetres(entry.now.levelCm ?? 0),
        levelCmIs: entry.now.levelCm !== null,
      })}
    </Box>
  );
}

/** Everything about the step that is on: its clock, its amounts, its form, its signs, and what must be said. */
export function StepBody(props: { stove: Stove; step: Step; spoonNow: ReturnType<typeof colours> }) {
  const { stove, step, spoonNow } = props;
  const { live, clocks, others } = stove;
  const { program, kitchen, now, batch } = live;
  const { main } = clocks;
  const entry = now.moment?.trace.at(-1);
  const forecast = now.forecast.trace.find((t) => t.stepId === step.id);
  // How long it takes to the boil is told by the clock, as of now.
  const notes = (forecast?.notes ?? []).filter((note) => !(main && note.code === 'heat.takes'));
  const guidance = guidanceFor(program, step, forecast ?? entry, kitchen, live.tables);
  return (
    <>
      <StepHead live={live} step={step} main={main} />
      {main && <BigClock clock={main} live={live} />}
      {main && !batch.rehearsal && <AskSound />}
      <FlameOut live={live} />
      {main && <Announced label={main.label} endMs={main.endMs} batch={batch} />}
      <Rehearsing live={live} />
      {entry && isTimed(step) && <VesselNow entry={entry} />}
      {!TELLS_ITSELF.has(step.kind) && step.lines.length > 0 && <StepAmounts live={live} step={step} />}
      <PartsAsTheyAre live={live} />
      <Squeeze live={live} />
      <LotStir key={`stir-${step.id}`} live={live} />
      <Washing key={`washing-${step.id}`} live={live} step={step} />
      {FORMS[step.kind]?.(stove, step)}
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
          <SpoonNowAndThen now={spoonNow} then={colours(forecast)} />
          <Cues live={live} step={step} />
        </Fold>
      ) : (
        <Cues live={live} step={step} />
      )}
      <SideJobs on={[live, ...others]} nowMs={live.nowMs} zone={kitchen.zone} />
      <BestReading key={`reading-${step.id}`} live={live} step={step} />
      <LastTime live={live} step={step} />
      <Changed live={live} />
      <CoolingWatch live={live} />
      <InstrumentStrip live={live} />
      <AskHere live={live} step={step} asksWater={guidance.some((g) => g.code === 'water.drinkable')} />
      {(program.steps[0] === step || step.kind === 'bottle') && <TooEarly live={live} />}
      <Guidance key={`guidance-${step.id}`} rows={guidance} />
    </>
  );
}

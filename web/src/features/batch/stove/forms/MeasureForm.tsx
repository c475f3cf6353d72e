import '../../../../words/places/batch.ts';
import { measuredLossWarning } from '@big-ladle/core/compare';
import { isOdd } from '@big-ladle/core/learn';
import { coldVolume } from '@big-ladle/core/liquor';
import { type EventBody, entryProblem } from '@big-ladle/core/log';
import { isPot, type Reading, type StepProblem } from '@big-ladle/core/program';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { vesselName } from '../../../../shared/batch/stepNames.ts';
import { vesselNowId } from '../../../../shared/batch/vesselNow.ts';
import { Choice } from '../../../../shared/Choice.tsx';
import { Counter } from '../../../../shared/Counter.tsx';
import { Dial } from '../../../../shared/Dial.tsx';
import { readingText } from '../../../../shared/log/logWords.ts';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { role } from '../../../../theme/theme.ts';
import { sayStepProblem } from '../../../../words/coreWords.ts';
import { sayWarning } from '../../../../words/plausibilityWords.ts';
import { celsius, centimetres, litres } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { PrimaryAction } from '../PrimaryAction.tsx';
import { dialOf, expectedL, HOT_C, type Kind, READ_AS, WORDS } from './measureKinds.ts';
import { useReadingSpreads } from './useReadingSpreads.ts';

/**
 * Measures what there is and goes on: each reading replaces its prediction, the plan from there is recomputed.
 * With `closing` the reading may end the step in the same tap.
 */
export function MeasureForm(props: {
  live: LiveBatch;
  /** What is measured unless another is chosen. */
  first?: Kind;
  onDone?: () => void;
  closing?: { label: string; deed: EventBody };
}) {
  const { live, onDone, closing } = props;
  // Of pots that stand side by side each may be read.
  const pots = live.step?.from.filter(isPot) ?? [];
  const [chosenPot, setChosenPot] = useState('');
  const vesselId = pots.includes(chosenPot) ? chosenPot : vesselNowId(live);
  const inPot = isPot(vesselId);
  const [kind, setKind] = useState<Kind>(props.first ?? 'jug');
  const [jugL, setJugL] = useState(1);
  const [jugs, setJugs] = useState(0);
  const [rest, setRest] = useState(0);
  const [saidHot, setSaidHot] = useState<boolean | null>(null);
  const [value, setValue] = useState<number | null>(null);
  const [withVessel, setWithVessel] = useState(true);
  const [by, setBy] = useState<'meter' | 'strip'>('meter');
  /** The meter was calibrated today; the drink under the strip was thinned. */
  const [careful, setCareful] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  /** What was entered when it was asked about: entered again, it is meant. What it comes to changes while a pot cools. */
  const [asked, setAsked] = useState<string | null>(null);
  const { step } = live;
  const spreadsOf = useReadingSpreads(live, vesselId);
  if (!step) return null;
  const momentEntry = live.now.moment?.trace.at(-1);
  const momentC = momentEntry?.now.tempC ?? live.kitchen.roomC;
  const hot = saidHot ?? momentC > HOT_C;
  const atC = hot ? Math.max(momentC, 60) : 20;
  const totalL = jugs * jugL + rest;

  const reading = (): Reading | null => {
    switch (kind) {
      case 'jug':
        return totalL > 0 ? { what: 'volume', volumeL: totalL, atC } : null;
      case 'level':
        return value === null ? null : { what: 'level', levelCm: value, atC: momentC };
      case 'mass':
        return value === null ? null : { what: 'mass', massKg: value, withVessel };
      case 'temperature':
        return value === null ? null : { what: 'temperature', tempC: value };
      case 'brix':
        return value === null ? null : { what: 'brix', brix: value };
      case 'pH':
        return value === null
          ? null
          : {
              what: 'pH',
              pH: value,
              by,
              ...(by === 'meter' ? { calibrated: careful } : { thinned: careful }),
            };
    }
  };
  const ready = reading();

  const inWords = (inner: StepProblem) => sayStepProblem(inner, { vessel: inPot ? live.pot.name : 'bowl' });
  const expectedNowL = step.kind === 'strain' ? expectedL(live) : (momentEntry?.now.volumeL ?? 0);
  const coldL = coldVolume(totalL, atC);
  /** What a reading says is there, cold, L: by jugs, or by how far it is from what the model has. */
  function measuredColdL(): number | null {
    if (kind === 'jug') return totalL > 0 ? coldL : null;
    const now = momentEntry?.now;
    if (value === null || !now) return null;
    if (kind === 'level' && now.levelCm !== null)
      return now.volumeL + ((value - now.levelCm) * (Math.PI / 4) * live.pot.diameterCm ** 2) / 1000;
    const start = kind === 'mass' ? dialOf('mass', live, withVessel)?.start : undefined;
    return start === undefined ? null : now.volumeL + (value - start);
  }
  /** Farther from what was foretold than this kitchen is likely to differ. */
  async function isFar(): Promise<boolean> {
    const read = kind === 'jug' ? coldL : value;
    if (read === null || (kind !== 'jug' && kind !== 'level' && kind !== 'mass')) return false;
    const foretold = kind === 'jug' ? expectedNowL : dialOf(kind, live, withVessel)?.start;
    const spread = (await spreadsOf())?.[READ_AS[kind]];
    return foretold !== undefined && spread != null && isOdd(read, foretold, spread);
  }
  const measuredL = measuredColdL();
  const loss =
    measuredL !== null && momentEntry
      ? measuredLossWarning(
          live.now.moment?.trace ?? [],
          measuredL,
          expectedNowL,
          Math.max(0, momentEntry.now.volumeL - expectedNowL),
        )
      : null;
  const entered = `${kind} ${kind === 'jug' ? totalL : value}`;
  const asking = asked === entered;
  const enter = async (after: readonly EventBody[] = []) => {
    setProblem(null);
    const measured: EventBody[] = ready
      ? [{ kind: 'measured', body: { stepId: step.id, vesselId, reading: ready } }]
      : [];
    // What cannot be true is said at once, also where the server is out of reach.
    const wrong = entryProblem(live, measured, live.nowMs);
    if (wrong) {
      setProblem(inWords(wrong));
      return;
    }
    if (!asking && (loss || (ready && (await isFar())))) {
      setAsked(entered);
      return;
    }
    await live.record([...measured, ...after], {
      onStored: () => {
        setValue(null);
        setJugs(0);
        setRest(0);
        onDone?.();
      },
      onRefused: (error) => {
        const inner = error.body.problem as StepProblem | undefined;
        setProblem(inner ? inWords(inner) : error.detail);
      },
    });
  };

  const dial = dialOf(kind, live, withVessel);
  const kinds: Kind[] = inPot
    ? ['jug', 'level', 'mass', 'temperature', 'brix', 'pH']
    : ['jug', 'mass', 'temperature', 'brix', 'pH'];
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }} data-testid="measure-form">
      {pots.length > 1 && (
        <Choice
          label={say('measureForm.whichPot')}
          value={vesselId}
          options={pots.map((id) => ({ value: id, text: vesselName(live.program, live.kitchen, id) }))}
          onChange={setChosenPot}
        />
      )}
      <Choice
        label={say('measureForm.measure')}
        value={kind}
        options={kinds.map((k) => ({ value: k, text: say(WORDS[k]) }))}
        onChange={(v) => {
          setKind(v as Kind);
          setValue(null);
          setProblem(null);
        }}
      />
      {kind === 'jug' && (
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
            <Counter
              count={jugs}
              text={say('measureForm.jugs', { jugs })}
              fewer={say('measureForm.oneJugFewer')}
              more={say('measureForm.oneJugMore')}
              onChange={setJugs}
            />
          </Box>
          <Box sx={{ display: 'flex', gap: 1.5 }}>
            <QuantityField
              label={say('measureForm.aJugHolds')}
              value={jugL}
              min={0.1}
              max={20}
              decimals={2}
              unit="L"
              onValue={setJugL}
              width={130}
            />
            <QuantityField
              label={say('measureForm.andAPart')}
              value={rest}
              min={0}
              max={20}
              decimals={2}
              unit="L"
              onValue={setRest}
              width={130}
              testId="measure-rest"
            />
          </Box>
          <Dial
            name={say('measureForm.aPartOfA')}
            value={rest}
            start={0}
            small={0.05}
            large={0.25}
            min={0}
            max={20}
            decimals={2}
            onChange={setRest}
          />
          <Choice
            label={say('common.itIs')}
            value={hot ? 'hot' : 'cold'}
            options={[
              {
                value: 'hot',
                text: say('measureForm.hotAbout', { momentC: celsius(Math.max(momentC, 60)) }),
              },
              { value: 'cold', text: say('measureForm.cold') },
            ]}
            onChange={(v) => setSaidHot(v === 'hot')}
          />
          {totalL > 0 && (
            <Box>
              {litres(totalL, 2)}
              {hot && <> {say('measureForm.hotWhenCold', { cold: litres(coldL, 2) })}</>}
              {momentEntry?.vesselId === vesselId && (
                <Box component="span" sx={{ color: role('inkMuted') }}>
                  {say('measureForm.theModelExpectedCold', { expectedNow: litres(expectedNowL, 2) })}
                </Box>
              )}
            </Box>
          )}
        </Box>
      )}
      {kind === 'level' && (
        <QuantityField
          label={say('measureForm.heightFromTheBottom')}
          value={value}
          min={0.1}
          max={100}
          unit="cm"
          onValue={setValue}
          width={220}
          testId="measure-value"
          problem={
            value !== null && value > live.pot.heightCm
              ? say('measureForm.theIsHigh', {
                  name: live.pot.name,
                  heightCm: centimetres(live.pot.heightCm, 0),
                })
              : undefined
          }
        />
      )}
      {kind === 'level' && live.pot.shapeGuessed && (
        <Box sx={{ color: role('caution') }} data-testid="shape-guessed">
          {say('measureForm.shapeGuessed')}
        </Box>
      )}
      {kind === 'mass' && (
        <>
          <QuantityField
            label={say('measureForm.weight')}
            value={value}
            min={0.05}
            max={200}
            decimals={2}
            unit="kg"
            onValue={setValue}
            width={220}
            testId="measure-value"
          />
          {inPot && (
            <Choice
              label={say('measureForm.weighed')}
              value={withVessel ? 'with' : 'without'}
              options={[
                { value: 'with', text: say('measureForm.potAndAll') },
                { value: 'without', text: say('measureForm.withoutThePot') },
              ]}
              onChange={(v) => setWithVessel(v === 'with')}
            />
          )}
        </>
      )}
      {kind === 'temperature' && (
        <QuantityField
          label={say('measureForm.temperature')}
          value={value}
          min={-5}
          max={105}
          unit="°C"
          onValue={setValue}
          width={220}
          testId="measure-value"
        />
      )}
      {kind === 'brix' && (
        <QuantityField
          label={say('common.refractometer')}
          value={value}
          min={0}
          max={85}
          unit="°Bx"
          onValue={setValue}
          width={220}
          testId="measure-value"
          helper={say('measureForm.allThatIsDissolved')}
        />
      )}
      {kind === 'pH' && (
        <>
          <QuantityField
            label="pH"
            value={value}
            min={0.5}
            max={13}
            decimals={2}
            onValue={setValue}
            width={220}
            testId="measure-value"
            helper={say('measureForm.aReadingAfterThe')}
          />
          <Choice
            label={say('measureForm.readBy')}
            value={by}
            options={[
              { value: 'meter', text: say('measureForm.meter') },
              { value: 'strip', text: say('measureForm.strip') },
            ]}
            onChange={(v) => {
              setBy(v as 'meter');
              setCareful(false);
            }}
          />
          <FormControlLabel
            control={<Checkbox checked={careful} onChange={(_, on) => setCareful(on)} />}
            label={say(`measure.${by}.careful`)}
          />
          {!careful && <Box sx={{ color: role('inkMuted') }}>{say(`measure.${by}.noEvidence`)}</Box>}
        </>
      )}
      {dial && <Dial name={say(WORDS[kind])} value={value} onChange={setValue} {...dial} />}
      {problem && <Alert severity="error">{problem}</Alert>}
      {asking && (
        <Alert severity="warning" data-testid={loss ? 'loss-slip' : 'far-off'}>
          {loss ? sayWarning(loss, measuredL ?? 0) : say('measureForm.farOff')}
        </Alert>
      )}
      <Button
        variant={closing ? 'outlined' : 'contained'}
        color={closing ? 'inherit' : 'primary'}
        disabled={!ready}
        onClick={() => void enter()}
        sx={{ minHeight: 56 }}
      >
        {asking ? say('measureForm.itIsSoEnter') : say('measureForm.enterIt')}
      </Button>
      {closing && (
        <PrimaryAction testId="done" onClick={() => void enter([closing.deed])}>
          {ready ? `${closing.label}, ${readingText(ready)}` : closing.label}
        </PrimaryAction>
      )}
    </Box>
  );
}

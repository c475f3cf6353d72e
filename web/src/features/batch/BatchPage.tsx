import '../../words/places/batch.ts';
import type { PlanDoc } from '@big-ladle/core/documents';
import { plannedLife } from '@big-ladle/core/keeping';
import { shownEvents } from '@big-ladle/core/log';
import { timetableFrom } from '@big-ladle/core/plan';
import type { Step } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { Answer } from '../../shared/Answer.tsx';
import { stepName } from '../../shared/batch/stepNames.ts';
import { VesselDrawing } from '../../shared/drawings/VesselDrawing.tsx';
import { deedText } from '../../shared/log/logWords.ts';
import { recipeText } from '../../shared/recipeText/recipeText.ts';
import { STAGE_IDS, type StageId, StageLine } from '../../shared/StageLine.tsx';
import { send } from '../../shared/send.ts';
import { useShelf } from '../../shared/shelf.ts';
import { TextOut } from '../../shared/TextOut.tsx';
import { ThumbBar } from '../../shared/ThumbBar.tsx';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { undoOf } from '../../shared/undo.ts';
import { sayStepProblem } from '../../words/coreWords.ts';
import { sayDrink } from '../../words/names.ts';
import { celsius, centimetres, litres, moment, say, sayCode } from '../../words/say.ts';
import { BottleForm } from './BottleForm.tsx';
import { momentView, stageOf, stagesOf } from './figures.ts';
import { HowWasIt } from './HowWasIt.tsx';
import { MeasureForm } from './MeasureForm.tsx';
import { begin, KeptPlan, tellFailed } from './PlanPage.tsx';
import { BalancePanel } from './panels/BalancePanel.tsx';
import { BottlesPanel } from './panels/BottlesPanel.tsx';
import { DrawPanel } from './panels/DrawPanel.tsx';
import { KeepPanel } from './panels/KeepPanel.tsx';
import { LedgerPanel } from './panels/LedgerPanel.tsx';
import { ListNotes, ListPanel } from './panels/ListPanel.tsx';
import { PotPanel } from './panels/PotPanel.tsx';
import { StrainPanel } from './panels/StrainPanel.tsx';
import { TimePanel } from './panels/TimePanel.tsx';
import { TwoColumns } from './panels/TwoColumns.tsx';
import { WashPanel } from './panels/WashPanel.tsx';
import { SetAside } from './SetAside.tsx';
import { SweetenForm } from './SweetenForm.tsx';
import { UnreadableBatch } from './UnreadableBatch.tsx';
import { type LiveBatch, useLiveBatch } from './useLiveBatch.ts';

/** A batch: the plan while it is one, then the table of what is on or done. */
export function BatchPage() {
  const { id = '' } = useParams();
  const { live, batch, unreadable, isPending, error, refetch } = useLiveBatch(id);
  if (isPending) return <Loading />;
  if (live) return <BatchTable live={live} />;
  if (batch && unreadable !== null) return <UnreadableBatch batch={batch} why={unreadable} />;
  if (batch) return <KeptPlan key={batch.id} batch={batch} />;
  return <ErrorPanel error={error} again={refetch} />;
}

const PANEL_ID = 'stage-panel';

function BatchTable({ live }: { live: LiveBatch }) {
  const [search, setSearch] = useSearchParams();
  const { program, kitchen, pot, now, nowMs, step, batch } = live;
  const sim = now.forecast;
  const startMs = now.log.startedMs ?? nowMs;
  const current: StageId | null = step ? stageOf(program, step) : 'keep';
  const asked = search.get('stage');
  const stage = STAGE_IDS.find((s) => s === asked) ?? current ?? 'size';
  const addedG: Record<string, number> = {};
  for (const { body } of now.log.added) addedG[body.lineId] = (addedG[body.lineId] ?? 0) + body.massG;
  const hygiene = now.log.bottled.at(-1)?.hygiene;
  const input = {
    program,
    sim,
    kitchen,
    tables: live.tables,
    pot,
    startMs,
    nowMs,
    addedG,
    ...(hygiene ? { hygiene } : {}),
  };
  // Bottles that stand on the shelf say themselves how long they keep; of several, the first to be drunk.
  const { shelf } = useShelf(nowMs);
  const own = shelf?.living.find((l) => l.item.facts.batchId === batch.id);
  const life = own?.life ?? plannedLife(program, sim, kitchen, { startMs, nowMs }, hygiene);
  const filled = now.log.bottled.reduce((sum, b) => sum + b.bottles.length, 0);
  const strained = program.steps.some((s) => s.kind === 'strain' && now.log.steps[s.id]?.status === 'done');
  const rinses = Object.values(now.log.actuals).find((a) => a.rinses !== undefined)?.rinses;
  const entry = now.moment?.trace.at(-1);
  const inPot = entry?.vesselId === 'pot' && entry.now.volumeL > 0.05;
  const remaining = {
    trace: sim.trace.filter(
      (t) => now.log.steps[t.stepId]?.status === 'later' || now.log.steps[t.stepId]?.status === 'now',
    ),
    endMin: sim.endMin,
  };
  return (
    <>
      <PageHead
        title={sayDrink(program.recipeId, live.recipe.name)}
        beside={
          <>
            {sayCode(`method.${program.methodId}`)}
            {!step && ` · ${say(now.log.stopped ? 'stoveEnd.stopped' : 'stage.state.done')}`}
          </>
        }
      >
        {step ? (
          <ThumbBar>
            <Button variant="contained" component={Link} to={`/batches/${batch.id}/stove`}>
              {say('batchPage.atTheStove')}
            </Button>
          </ThumbBar>
        ) : (
          !batch.rehearsal && <MakeAgain live={live} />
        )}
      </PageHead>
      {step && <NextDeed live={live} step={step} />}
      <StageLine
        stages={stagesOf({
          ...input,
          life,
          doneUntil: current,
          filled,
          ...(rinses === undefined ? {} : { rinses }),
        })}
        open={stage}
        onOpen={(id) => {
          search.set('stage', id);
          setSearch(search, { replace: true });
        }}
        panelId={PANEL_ID}
      />
      {sim.problem && (
        <Alert severity="error" sx={{ mb: 1.5 }}>
          {sayStepProblem(sim.problem, { vessel: pot.name })}
        </Alert>
      )}
      <Box role="tabpanel" id={PANEL_ID} aria-labelledby={`stage-${stage}`}>
        <TwoColumns
          rightFirst
          left={
            <>
              {inPot && entry ? (
                <Panel title={say('batchPage.inThePotNow')}>
                  <VesselDrawing
                    name={pot.name}
                    diameterCm={pot.diameterCm}
                    heightCm={pot.heightCm}
                    {...momentView(pot, entry)}
                    lid={pot.lid && step?.kind === 'steep'}
                    description={say('batchPage.atStandingAt', {
                      name: pot.name,
                      hotVolume: litres(entry.now.hotVolumeL),
                      tempC: celsius(entry.now.tempC),
                      levelCm: centimetres(entry.now.levelCm ?? 0),
                    })}
                  />
                  <Row label={say('batchPage.temperatureByTheModel')}>{celsius(entry.now.tempC)}</Row>
                </Panel>
              ) : (
                <PotPanel {...input} />
              )}
              {!step && !batch.rehearsal && <HowWasIt live={live} />}
              <LogPanel live={live} />
            </>
          }
          right={
            <>
              {stage === 'size' && (
                <>
                  <ListPanel {...input} title={say('batchPage.whatWentIn')} />
                  <ListNotes {...input} />
                  <LedgerPanel
                    {...input}
                    {...(now.log.endedMs === null
                      ? { finishedWord: say('batchPage.expectedInBottles') }
                      : {})}
                  />
                  <TextOut
                    title={say('batchPage.inWords')}
                    what={say('batchPage.theBatch')}
                    fileName={`${batch.id}.txt`}
                    text={recipeText({ ...input, recipe: live.recipe })}
                  />
                </>
              )}
              {stage === 'wash' && <WashPanel {...input} />}
              {stage === 'draw' && <DrawPanel {...input} />}
              {stage === 'strain' && (
                <>
                  <StrainPanel {...input} />
                  {!batch.rehearsal && strained && (
                    <Panel
                      title={say('batchPage.leftInTheCloth')}
                      aside={<Link to="/shelf?view=leftovers">{say('common.leftovers')}</Link>}
                    >
                      <SetAside live={live} />
                    </Panel>
                  )}
                </>
              )}
              {stage === 'balance' && (
                <BalancePanel {...input}>
                  {step?.kind === 'sweeten' ? (
                    <SweetenForm live={live} />
                  ) : (
                    <Button component={Link} to={`/batches/${batch.id}/balance`} variant="outlined">
                      {say('batchPage.sweetSourAndStrong')}
                    </Button>
                  )}
                </BalancePanel>
              )}
              {stage === 'bottle' &&
                (step?.kind === 'bottle' ? (
                  <Panel title={say('batchPage.bottle')}>
                    <BottleForm live={live} />
                  </Panel>
                ) : (
                  <BottlesPanel {...input}>
                    {filled > 0 && !batch.rehearsal && (
                      <Button
                        component={Link}
                        to={`/shelf/labels?batch=${batch.id}`}
                        variant="outlined"
                        sx={{ mb: 1 }}
                      >
                        {say('common.labelsForThem')}
                      </Button>
                    )}
                  </BottlesPanel>
                ))}
              {stage === 'keep' && <KeepPanel {...input} life={life} />}
              {step && stage === current && entry && entry.now.volumeL > 0.05 && (
                <Panel title={say('batchPage.measureAndGoOn')}>
                  <MeasureForm live={live} />
                </Panel>
              )}
              {step && (
                <TimePanel
                  program={program}
                  timetable={{
                    ...timetableFrom(program, remaining, startMs),
                    totalMin: Math.max(0, sim.endMin - (nowMs - startMs) / MINUTE_MS),
                    readyMs: startMs + sim.endMin * MINUTE_MS,
                  }}
                  kitchen={kitchen}
                  withEnd
                  nowMs={nowMs}
                />
              )}
            </>
          }
        />
      </Box>
    </>
  );
}

/** What is on, until when, and what comes after it. */
function NextDeed({ live, step }: { live: LiveBatch; step: Step }) {
  const { program, now, nowMs, kitchen } = live;
  const name = stepName(step, program);
  const at = program.steps.findIndex((s) => s.id === step.id);
  const then = program.steps.slice(at + 1).find((s) => now.log.steps[s.id]?.status === 'later');
  return (
    <Answer
      label={say('batchPage.now')}
      title={
        now.clock && now.clock.endMs > nowMs
          ? say(now.clock.kind === 'timed' ? 'batchPage.until' : 'batchPage.untilAbout', {
              step: name,
              end: moment(now.clock.endMs, nowMs, kitchen.zone),
            })
          : name
      }
      below={then && say('batchPage.then', { step: stepName(then, program).toLowerCase() })}
    />
  );
}

/** A batch that is over begun anew: the same plan, with what was noted at its steps. */
function MakeAgain({ live }: { live: LiveBatch }) {
  const navigate = useNavigate();
  const again = async () => {
    const plan: PlanDoc = { ...live.batch.plan, readyAtMs: null, again: live.batch.id };
    const batch = await send('createBatch', { body: { id: uuid(), plan } });
    await begin(batch, live.program.steps[0]!.id);
    navigate(`/batches/${batch.id}/stove`);
  };
  return (
    <Button variant="contained" onClick={() => void again().catch(tellFailed)}>
      {say('batchPage.makeItAgain')}
    </Button>
  );
}

/** What happened, the newest first; the newest can be taken back, and a note can be left. */
function LogPanel({ live }: { live: LiveBatch }) {
  const [text, setText] = useState('');
  const [all, setAll] = useState(false);
  const shown = shownEvents(live.events);
  const back = undoOf(live.events);
  return (
    <Panel title={say('batchPage.log')} testId="log">
      {(all ? shown : shown.slice(0, 8)).map((event) => (
        <Row
          key={event.id}
          label={
            live.now.log.doubled.includes(event.id)
              ? say('batchPage.saidOnAnotherDevice', { deedText: deedText(event, live.program) })
              : deedText(event, live.program)
          }
          note={moment(event.atMs, live.nowMs, live.kitchen.zone)}
        >
          {event.id === back?.told.id && (
            <Button
              size="small"
              onClick={() => void live.record(back.deeds)}
              aria-label={say('batchPage.undo', { deedText: deedText(event, live.program) })}
            >
              {say('common.undo')}
            </Button>
          )}
        </Row>
      ))}
      {shown.length > 8 && !all && (
        <Button onClick={() => setAll(true)}>{say('batchPage.allEntries', { count: shown.length })}</Button>
      )}
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, mt: 1.5 }}
        onSubmit={(event: React.FormEvent) => {
          event.preventDefault();
          if (!text.trim()) return;
          void live.record([{ kind: 'noted', body: { text: text.trim().slice(0, 2000) } }]);
          setText('');
        }}
      >
        <TextField
          label={say('batchPage.aNote')}
          value={text}
          onChange={(e) => setText(e.target.value)}
          fullWidth
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
        <Button type="submit" variant="outlined" sx={{ flexShrink: 0 }}>
          {say('batchPage.noteIt')}
        </Button>
      </Box>
    </Panel>
  );
}

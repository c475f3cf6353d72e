import '../../../words/places/batch.ts';
import { plannedLife } from '@big-ladle/core/keeping';
import { timetableFrom } from '@big-ladle/core/plan';
import { MINUTE_MS } from '@big-ladle/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useParams, useSearchParams } from 'react-router';
import { VesselDrawing } from '../../../shared/drawings/VesselDrawing.tsx';
import { Photos } from '../../../shared/photos/lazy.tsx';
import { STAGE_IDS, type StageId, StageLine } from '../../../shared/StageLine.tsx';
import { useShelf } from '../../../shared/shelf.ts';
import { ThumbBar } from '../../../shared/ThumbBar.tsx';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../../shared/ui.tsx';
import { sayStepProblem } from '../../../words/coreWords.ts';
import { sayDrink } from '../../../words/names.ts';
import { celsius, centimetres, litres } from '../../../words/quantities.ts';
import { say, sayCode } from '../../../words/say.ts';
import { momentView, stageOf, stagesOf } from '../panels/figures.ts';
import { PotPanel } from '../panels/PotPanel.tsx';
import { TimePanel } from '../panels/TimePanel.tsx';
import { TwoColumns } from '../panels/TwoColumns.tsx';
import { KeptPlan } from '../plan/PlanPage.tsx';
import { MeasureForm } from '../stove/forms/MeasureForm.tsx';
import { type LiveBatch, useLiveBatch } from '../useLiveBatch.ts';
import { HowWasIt } from './HowWasIt.tsx';
import { MakeAgain, NextDeed } from './head.tsx';
import { LogPanel } from './LogPanel.tsx';
import { MadeFrom } from './MadeFrom.tsx';
import { madePanel } from './stages.tsx';
import { UnreadableBatch } from './UnreadableBatch.tsx';

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
              {!batch.rehearsal && <MadeFrom live={live} />}
              <LogPanel live={live} />
              {!batch.rehearsal && <Photos subject={{ of: 'batch', ofId: batch.id }} zone={kitchen.zone} />}
            </>
          }
          right={
            <>
              {madePanel(stage, { live, input, life, filled })}
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

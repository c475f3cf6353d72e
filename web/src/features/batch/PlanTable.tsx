import '../../words/places/batch.ts';
import { marksOf } from '@big-ladle/core/balance';
import { completeChoices, type Presets, presetsOf } from '@big-ladle/core/book';
import { isTooFarAhead, type Kitchen, PLAN_AHEAD_MS, type PlanDoc } from '@big-ladle/core/documents';
import { acidEvidence, type PlanRisk, plannedLife, planRisk } from '@big-ladle/core/keeping';
import {
  awayWindows,
  firstStart,
  lanesOf,
  latestStart,
  type Schedule,
  solvePlanDoc,
  startBy,
  timelineOf,
  timetableFrom,
  withBeside,
} from '@big-ladle/core/plan';
import {
  finishedLiquor,
  type Program,
  type Simulation,
  simulateBatch,
  standsSideBySide,
  tagsOfBatch,
  withServing,
} from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { lazy, type ReactNode, Suspense, useCallback, useDeferredValue, useMemo, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { useBook } from '../../shared/book.ts';
import { Fold } from '../../shared/Fold.tsx';
import { WhoAsksFirst } from '../../shared/LotMarks.tsx';
import { LaneDrawing } from '../../shared/lanes/LaneDrawing.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { STAGE_IDS, type StageId, StageLine } from '../../shared/StageLine.tsx';
import { Loading, Panel } from '../../shared/ui.tsx';
import { fromLocalField, toLocalField } from '../../shared/zone.ts';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { duration, litres, moment, num, say } from '../../words/say.ts';
import { plannedBase } from './balance/place.ts';
import { SwapChoices } from './balance/SwapChoices.tsx';
import { FormChoices } from './FormChoices.tsx';
import { stagesOf } from './figures.ts';
import { IsThereEnough } from './IsThereEnough.tsx';
import { Likely } from './Likely.tsx';
import { MissingTools } from './MissingTools.tsx';
import { NotToBeKept } from './NotToBeKept.tsx';
import { ProblemPanel } from './PlanProblem.tsx';
import { PlanWarnings } from './PlanWarnings.tsx';
import { PotsAndRings } from './PotsAndRings.tsx';
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
import { RootChoices } from './RootChoices.tsx';
import { PresetChoices, StageChoices } from './StageChoices.tsx';
import { sentenceField } from './sentenceField.ts';
import { TooEarlyToBegin } from './TooEarly.tsx';
import { TooLate } from './TooLate.tsx';
import { WaysChoice } from './WaysChoice.tsx';
import { WishControls } from './WishControls.tsx';

/** The plane with its programme: it comes when its stage is opened. */
const PlannedBalance = lazy(() =>
  import('./balance/PlannedBalance.tsx').then((m) => ({ default: m.PlannedBalance })),
);

/** Who is to be told before a glass of it is poured: said here once, folded, and not first at the bottle. */
function WhoPanel({ program, sim, tables }: { program: Program; sim: Simulation; tables: Tables }) {
  const tags = useMemo(() => tagsOfBatch(program, sim.trace, tables), [program, sim, tables]);
  const marks = marksOf(tags)
    .map((m) => say(`mark.${m}`))
    .join(', ');
  return (
    <Panel label={say('common.whoIsToBe')} testId="who">
      <Fold summary={marks ? say('planTable.whoMarked', { marks }) : say('common.whoIsToBe')}>
        <WhoAsksFirst tags={tags} />
      </Fold>
    </Panel>
  );
}

/** The lanes of a plan; they stay as they are while only the hour moves. */
function PlanLanes(props: { program: Program; sim: Simulation; kitchen: Kitchen; tables: Tables }) {
  const { program, sim, kitchen, tables } = props;
  const lanes = useMemo(() => lanesOf(program, sim, tables), [program, sim, tables]);
  return <LaneDrawing lanes={lanes} program={program} kitchen={kitchen} />;
}

/** What the strength is a matter of, by the litre that comes out. */
function leafOf(presets: Presets, program: Program, made: number): { itemId: string; gPerL: number } | null {
  const [main] = program.lines.filter((l) => presets.strong.has(l.id)).sort((a, b) => b.massG - a.massG);
  return main && made > 0 ? { itemId: main.itemId, gPerL: main.massG / made } : null;
}

const PANEL_ID = 'stage-panel';
/** Hours away are looked at so far ahead. */
const AHEAD_MS = 8 * 24 * 3_600_000;

export interface PlanTableProps {
  plan: PlanDoc;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (plan: PlanDoc) => void;
  /** Deeds of the head: keep, start. The first step is null while the plan does not work out. */
  deeds: (firstStepId: string | null, risk: PlanRisk | null) => ReactNode;
}

/** The plan at the table: the wish, the line, and the panel of one stage. Everything below follows from the wish. */
export function PlanTable({ plan, kitchen: house, nowMs, onChange, deeds }: PlanTableProps) {
  const { book, tables } = useBook();
  const recipe = book.find((r) => r.id === plan.recipeId);
  const kitchen = useMemo(() => withServing(house, recipe ?? {}), [house, recipe]);
  const [search, setSearch] = useSearchParams();
  const setFor = useRef<number | null>(null);
  const asked = search.get('stage');
  const stage: StageId = STAGE_IDS.find((s) => s === asked) ?? 'size';
  const openStage = useCallback(
    (id: StageId) =>
      setSearch(
        (before) => {
          before.set('stage', id);
          return before;
        },
        { replace: true },
      ),
    [setSearch],
  );

  // The control under the finger answers first; what follows from it may come a frame later.
  const deferred = useDeferredValue(plan);
  // Nothing is reckoned for a year that is a slip of the finger.
  const farAhead = isTooFarAhead(deferred.readyAtMs, nowMs);
  const thought = useMemo(
    () => (farAhead ? { ...deferred, readyAtMs: null } : deferred),
    [deferred, farAhead],
  );
  const solved = useMemo(
    () => solvePlanDoc(thought, book, kitchen, tables),
    [thought, kitchen, book, tables],
  );
  // A pot too small still shows the batch as it would be in more fills, under the message that says so.
  const tooSmall = !solved.ok && solved.problem.kind === 'potTooSmall' ? solved.problem : null;
  const shown = useMemo(
    () =>
      solved.ok
        ? solved
        : tooSmall
          ? solvePlanDoc({ ...withBeside(thought, []), fills: 'asNeeded' }, book, kitchen, tables)
          : solved,
    [solved, tooSmall, thought, kitchen, book, tables],
  );
  const sim = useMemo(
    () => (shown.ok ? simulateBatch(shown.value.program, kitchen, tables) : null),
    [shown, kitchen, tables],
  );

  const pot = kitchen.pots.find((p) => p.id === thought.potId);
  const { readyAtMs } = thought;
  const away = useMemo(
    () => awayWindows(kitchen.away, kitchen.zone, nowMs, Math.max(nowMs, readyAtMs ?? nowMs) + AHEAD_MS),
    [kitchen, nowMs, readyAtMs],
  );
  const placed = useMemo(
    () =>
      shown.ok && sim
        ? readyAtMs !== null
          ? latestStart(timelineOf(shown.value.program, sim), readyAtMs, away)
          : firstStart(timelineOf(shown.value.program, sim), kitchen, nowMs)
        : null,
    [shown, sim, readyAtMs, nowMs, kitchen, away],
  );
  // Where the hours away leave no place, the plain chain shows what it would take.
  const timetable = useMemo((): Schedule | null => {
    if (!shown.ok || !sim || !placed) return null;
    if (placed.ok) return placed.schedule;
    const plain =
      readyAtMs !== null
        ? startBy(shown.value.program, sim, readyAtMs)
        : timetableFrom(shown.value.program, sim, nowMs);
    return { ...plain, stretched: [] };
  }, [shown, sim, placed, readyAtMs, nowMs]);
  const made = useMemo(
    () =>
      shown.ok && sim && pot && timetable
        ? {
            ...shown.value,
            timetable,
            life: plannedLife(shown.value.program, sim, kitchen, { startMs: timetable.startMs, nowMs }),
            risk: planRisk(shown.value.program, sim, kitchen, { startMs: timetable.startMs, nowMs }),
            input: {
              program: shown.value.program,
              sim,
              kitchen,
              tables,
              pot,
              startMs: timetable.startMs,
              nowMs,
            },
          }
        : null,
    [shown, sim, kitchen, tables, pot, timetable, nowMs],
  );
  /** What only follows from the plan: it stays as it is while the finger moves. */
  const following = useMemo(() => {
    if (!made) return null;
    const { input } = made;
    return {
      line: (
        <StageLine
          stages={stagesOf({ ...input, life: made.life, doneUntil: null })}
          open={stage}
          onOpen={openStage}
          panelId={PANEL_ID}
          quiet
        />
      ),
      beside: (
        <>
          <PotPanel {...input} />
          <TimePanel program={input.program} timetable={made.timetable} kitchen={kitchen} nowMs={nowMs} />
          <WhoPanel program={input.program} sim={input.sim} tables={tables} />
        </>
      ),
      ledger: <LedgerPanel {...input} likely={<Likely program={input.program} kitchen={kitchen} />} />,
    };
  }, [made, stage, openStage, kitchen, tables, nowMs]);
  const late =
    timetable !== null && plan.readyAtMs !== null && (timetable.startMs < nowMs || placed?.ok === false);

  if (!recipe) return <Loading />;
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, rowGap: 1, mb: 1 }}>
        <PageTitle
          title={sayDrink(plan.recipeId)}
          sx={{ ...heading, fontSize: '1.75rem', lineHeight: 1.1, m: 0 }}
        />
        {/* Where there are several ways, the chosen one says it. */}
        {(recipe.methods.length === 1 || stage !== 'size') && (
          <Box sx={{ color: role('inkMuted') }}>{say(`method.${plan.choices.methodId}`)}</Box>
        )}
        <Box sx={{ ml: { md: 'auto' }, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {deeds(
            solved.ok && !farAhead ? (solved.value.program.steps[0]?.id ?? null) : null,
            made?.risk ?? null,
          )}
        </Box>
      </Box>
      <Box sx={{ mb: 1.5, display: 'flex', flexWrap: 'wrap', gap: '4px 8px', alignItems: 'baseline' }}>
        <span>{say('planTable.iWant')}</span>
        <strong data-testid="wish-now">
          {shown.ok
            ? say('planTable.inBottles', { litres: litres(shown.value.litres) })
            : say('planTable.moreThanGoes')}
        </strong>
        <PotsAndRings plan={plan} kitchen={kitchen} onChange={onChange} />
        <span>
          {say('planTable.readyBy')}{' '}
          <Box
            component="input"
            type="datetime-local"
            aria-label={say('planTable.readyBy2')}
            value={plan.readyAtMs === null ? '' : toLocalField(plan.readyAtMs, kitchen.zone)}
            aria-invalid={farAhead}
            max={toLocalField(nowMs + PLAN_AHEAD_MS, kitchen.zone)}
            onChange={(e: React.ChangeEvent<HTMLInputElement>) =>
              onChange({ ...plan, readyAtMs: fromLocalField(e.target.value, kitchen.zone) })
            }
            sx={sentenceField}
          />
        </span>
        {farAhead && (
          <Box component="span" role="alert" data-testid="far-ahead" sx={{ color: role('danger') }}>
            {say('plan.farAhead')}
          </Box>
        )}
        {timetable && !farAhead && (
          <Box
            component="span"
            data-testid="start-by"
            sx={{ color: late ? role('danger') : role('inkMuted') }}
          >
            {plan.readyAtMs === null
              ? timetable.startMs > nowMs + 60_000
                ? say('planTable.begunWhenYouAre', {
                    start: moment(timetable.startMs, nowMs, kitchen.zone),
                    ready: moment(timetable.readyMs, nowMs, kitchen.zone),
                  })
                : say('planTable.begunNowItIs', { ready: moment(timetable.readyMs, nowMs, kitchen.zone) })
              : late && timetable.startMs >= nowMs
                ? say('planTable.notWithYourHours')
                : late
                  ? say('planTable.tooLateBy', { now: duration((nowMs - timetable.startMs) / 60_000) })
                  : say('common.startBy', { start: moment(timetable.startMs, nowMs, kitchen.zone) })}
          </Box>
        )}
      </Box>

      {stage === 'size' && !farAhead && (
        <WaysChoice
          plan={plan}
          recipe={recipe}
          kitchen={kitchen}
          nowMs={nowMs}
          setFor={setFor}
          onChange={onChange}
        />
      )}

      {following?.line}

      {!solved.ok && (
        <ProblemPanel plan={plan} problem={solved.problem} kitchen={kitchen} onChange={onChange} />
      )}

      {made && <MissingTools program={made.program} kitchen={kitchen} />}
      {made && <PlanWarnings program={made.program} litres={made.litres} tables={tables} />}
      {made?.risk && (
        <NotToBeKept
          plan={plan}
          risk={made.risk}
          program={made.program}
          kitchen={kitchen}
          onChange={onChange}
        />
      )}
      {made && !farAhead && (
        <TooEarlyToBegin
          readyAtMs={thought.readyAtMs}
          startMs={made.timetable.startMs}
          deadlineMs={made.life?.deadlineMs}
          nowMs={nowMs}
          kitchen={kitchen}
        />
      )}
      {late && made && sim && plan.readyAtMs !== null && (
        <TooLate
          plan={{ ...plan, readyAtMs: plan.readyAtMs }}
          recipe={recipe}
          program={made.program}
          sim={sim}
          kitchen={kitchen}
          away={away}
          bindingStepId={placed && !placed.ok ? placed.bindingStepId : null}
          nowMs={nowMs}
          onChange={onChange}
        />
      )}

      {!(made && following) ? (
        <Panel title={say('planTable.theWish')}>
          <WishControls
            plan={plan}
            recipe={recipe}
            kitchen={kitchen}
            tables={tables}
            litresNow={recipe.basisL}
            onChange={onChange}
          />
        </Panel>
      ) : (
        (() => {
          const { input } = made;
          const bottled = finishedLiquor(input.sim);
          const choosing = {
            plan,
            recipe,
            choices: completeChoices(recipe, plan.choices),
            onChange,
            mayFillHot: made.fills === 1 && bottled !== undefined && acidEvidence(bottled).shown,
          };
          const chosen = <StageChoices stage={stage} {...choosing} />;
          const presets = presetsOf(recipe, tables);
          const massOf = (lineId: string) =>
            input.program.lines.find((l) => l.id === lineId)?.massG || (input.sim.dosedG[lineId] ?? 0);
          const wish = (
            <WishControls
              plan={plan}
              recipe={recipe}
              kitchen={kitchen}
              tables={tables}
              litresNow={made.litres}
              onChange={onChange}
            />
          );
          const limit = (
            <span data-testid="limit">
              {say(`limit.${made.limit}`, { litres: litres(kitchen.fridgeFreeL) })}
              {standsSideBySide(made.program)
                ? say('planTable.sideBySide', { pots: num(made.fills) })
                : made.fills > 1 && say('planTable.fillsOfThePot', { fills: num(made.fills) })}{' '}
            </span>
          );
          return (
            <Box role="tabpanel" id={PANEL_ID} aria-labelledby={`stage-${stage}`}>
              {stage === 'size' && (
                <TwoColumns
                  rightFirst
                  left={following.beside}
                  right={
                    <>
                      <ListPanel {...input}>
                        {wish}
                        <PresetChoices
                          {...choosing}
                          presets={presets}
                          leaf={leafOf(presets, made.program, made.litres)}
                        />
                      </ListPanel>
                      <IsThereEnough program={made.program} dosedG={input.sim.dosedG} tables={tables} />
                      {/* The laboratory: where the litres go, and how sure it all is. */}
                      <Fold summary={say('planTable.behind')} testId="behind">
                        <ListNotes {...input} note={limit} />
                        {following.ledger}
                      </Fold>
                    </>
                  }
                />
              )}
              {stage === 'wash' && (
                <TwoColumns
                  left={
                    <>
                      {chosen}
                      <FormChoices
                        plan={plan}
                        recipe={recipe}
                        kitchen={kitchen}
                        tables={tables}
                        massOf={massOf}
                        onChange={onChange}
                      />
                      <RootChoices plan={plan} recipe={recipe} tables={tables} onChange={onChange} />
                    </>
                  }
                  right={<WashPanel {...input} />}
                />
              )}
              {stage === 'draw' && (
                <>
                  <TwoColumns left={chosen} right={<DrawPanel {...input} />} />
                  <Box sx={{ mt: 1.75 }}>
                    <Panel title={say('lanes.title')}>
                      <PlanLanes {...input} />
                    </Panel>
                  </Box>
                </>
              )}
              {stage === 'strain' && <TwoColumns left={chosen} right={<StrainPanel {...input} />} />}
              {stage === 'balance' && (
                <>
                  <TwoColumns
                    left={
                      <>
                        {chosen}
                        <SwapChoices
                          plan={plan}
                          recipe={recipe}
                          tables={tables}
                          massOf={massOf}
                          base={plannedBase(input.sim)}
                          finishedMl={made.litres * 1000}
                          onChange={onChange}
                        />
                      </>
                    }
                    right={<BalancePanel {...input} />}
                  />
                  <Box sx={{ mt: 1.75 }}>
                    <Suspense>
                      <PlannedBalance
                        plan={plan}
                        recipe={recipe}
                        program={input.program}
                        sim={input.sim}
                        kitchen={kitchen}
                        tables={tables}
                        target={choosing.choices.targetSweetnessPct}
                        instead={choosing.choices.instead}
                        onChange={onChange}
                      />
                    </Suspense>
                  </Box>
                </>
              )}
              {stage === 'bottle' && <TwoColumns left={chosen} right={<BottlesPanel {...input} />} />}
              {stage === 'keep' && <KeepPanel {...input} life={made.life} />}
            </Box>
          );
        })()
      )}
    </>
  );
}

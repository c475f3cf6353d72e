import '../../../words/places/batch.ts';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import type { PlanRisk } from '@big-ladle/core/keeping';
import { withServing } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { type ReactNode, useCallback, useMemo, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { useBook } from '../../../shared/book.ts';
import { PageTitle } from '../../../shared/PageTitle.tsx';
import { STAGE_IDS, type StageId, StageLine } from '../../../shared/StageLine.tsx';
import { Loading, Panel } from '../../../shared/ui.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import { stagesOf } from '../panels/figures.ts';
import { LedgerPanel } from '../panels/LedgerPanel.tsx';
import { PotPanel } from '../panels/PotPanel.tsx';
import { TimePanel } from '../panels/TimePanel.tsx';
import { TooEarlyToBegin } from '../TooEarly.tsx';
import { WaysChoice } from './choices/WaysChoice.tsx';
import { WishControls } from './choices/WishControls.tsx';
import { Likely } from './Likely.tsx';
import { MissingTools } from './MissingTools.tsx';
import { NotToBeKept } from './NotToBeKept.tsx';
import { ProblemPanel } from './PlanProblem.tsx';
import { PlanSentence } from './PlanSentence.tsx';
import { PlanWarnings } from './PlanWarnings.tsx';
import { stagePanel, WhoPanel } from './stages.tsx';
import { TooLate } from './TooLate.tsx';
import { useMadePlan } from './useMadePlan.ts';

const PANEL_ID = 'stage-panel';

export interface PlanTableProps {
  plan: PlanDoc;
  kitchen: Kitchen;
  nowMs: number;
  /** A change, and the plan that was shown when it was made. Keeps its identity while the plan changes. */
  onChange: (plan: PlanDoc, from?: PlanDoc) => void;
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

  const worked = useMadePlan(plan, kitchen, nowMs);
  const { solved, made, sim, away, placed, farAhead, late, readyAtMs, deferred } = worked;
  const onLaterChange = useCallback((next: PlanDoc) => onChange(next, deferred), [onChange, deferred]);
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
      <PlanSentence plan={plan} kitchen={kitchen} nowMs={nowMs} worked={worked} onChange={onChange} />

      {stage === 'size' && !farAhead && (
        <WaysChoice
          plan={deferred}
          recipe={recipe}
          kitchen={kitchen}
          nowMs={nowMs}
          setFor={setFor}
          onChange={onLaterChange}
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
          readyAtMs={readyAtMs}
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
        <Box role="tabpanel" id={PANEL_ID} aria-labelledby={`stage-${stage}`}>
          {stagePanel(stage, { made, plan, recipe, kitchen, tables, onChange, following })}
        </Box>
      )}
    </>
  );
}

import '../../../words/places/batch.ts';
import { type Batch, ROUTES } from '@big-ladle/core/contract';
import type { MethodId, PlanDoc } from '@big-ladle/core/documents';
import type { PlanRisk } from '@big-ladle/core/keeping';
import { openingPlan, standsIn } from '@big-ladle/core/plan';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { ApiError, ask } from '../../../shared/api.ts';
import { useBook } from '../../../shared/book.ts';
import { eventFor } from '../../../shared/outbox.ts';
import { keys, queryClient, useKitchen } from '../../../shared/queries.ts';
import { send, tellError } from '../../../shared/send.ts';
import { ThumbBar } from '../../../shared/ThumbBar.tsx';
import { useCoarseNow } from '../../../shared/time.ts';
import { ErrorPanel, Loading } from '../../../shared/ui.tsx';
import { grams, litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { AlreadyOn } from './alreadyMade/AlreadyOn.tsx';
import { PlanTable } from './PlanTable.tsx';
import { usePlanDrafts } from './planDraft.ts';

const MINUTE = 60_000;

/** Starts a kept plan: pins it, and writes that its first step has begun. */
export async function begin(batch: Batch, firstStepId: string, risk: PlanRisk | null = null): Promise<void> {
  const stream = { kind: 'batch' as const, id: batch.id };
  const event = await eventFor(stream, {
    kind: 'stepStarted',
    // What was known to be risky and begun all the same stands in the log.
    body: { stepId: firstStepId, ...(risk ? { risk: risk.reasons.map((r) => r.code).slice(0, 4) } : {}) },
  });
  await send('startBatch', { params: { id: batch.id }, body: { version: batch.version, events: [event] } });
}

/** Practises a plan: the same steps on simulated instruments, sixty times as fast. */
async function rehearse(plan: PlanDoc, firstStepId: string): Promise<string> {
  const id = uuid();
  const event = await eventFor(
    { kind: 'rehearsal', id },
    { kind: 'stepStarted', body: { stepId: firstStepId } },
  );
  await send('createRehearsal', {
    body: {
      id,
      plan,
      speed: 60,
      seed: Math.floor(Math.random() * 100_000),
      events: [event],
    },
  });
  // To practise with, there is always a probe: one that lies free, else one of its own.
  const { instruments } = await ask(ROUTES.instruments, {});
  const free = instruments.find((i) => i.kind === 'probe' && i.batchId === null);
  await send('putInstrument', {
    params: { id: free?.id ?? uuid() },
    body: {
      kind: 'probe',
      name: free?.name ?? say('planPage.practiceProbe'),
      batchId: id,
      lost: false,
      tareKg: 0,
      failing: null,
    },
  });
  return id;
}

export const tellFailed = (error: unknown): void => tellError(error, say('planPage.theKitchenServerDoes'));

function Rehearse({ plan, firstStepId }: { plan: PlanDoc; firstStepId: string | null }) {
  const navigate = useNavigate();
  return (
    <Button
      disabled={firstStepId === null}
      onClick={() =>
        firstStepId !== null &&
        void rehearse(plan, firstStepId)
          .then((id) => navigate(`/batches/${id}/stove`))
          .catch(tellFailed)
      }
    >
      {say('planPage.rehearseIt')}
    </Button>
  );
}

/** Begins a plan; one that ends at "throw out" says so on the button itself. */
function BeginButton(props: { risk: PlanRisk | null; disabled: boolean; onClick: () => void }) {
  const { risk, disabled, onClick } = props;
  return (
    <Button
      variant={risk ? 'outlined' : 'contained'}
      color={risk ? 'error' : 'primary'}
      disabled={disabled}
      onClick={onClick}
    >
      {risk ? say('planPage.beginAllTheSame') : say('planPage.beginNow')}
    </Button>
  );
}

/** A batch that is being thought up. */
export function NewPlanPage() {
  const { recipeId = '' } = useParams();
  const [search] = useSearchParams();
  const kitchen = useKitchen();
  const nowMs = useCoarseNow(MINUTE);
  const navigate = useNavigate();
  const drafts = usePlanDrafts();
  const keeping = useMutation({ mutationFn: (work: () => Promise<void>) => work(), onError: tellFailed });
  const busy = keeping.isPending;
  const [joining, setJoining] = useState(false);
  const book = useBook();
  const recipe = book.book.find((r) => r.id === recipeId);
  const k = kitchen.data?.kitchen;
  const method = recipe?.methods.find((m) => m === search.get('method')) as MethodId | undefined;
  const key = `${recipeId}:${method ?? ''}`;
  const { put } = drafts;
  const onChange = useCallback((next: PlanDoc, from?: PlanDoc) => put(key, next, from), [put, key]);
  const fresh = useMemo(
    () => (recipe && k ? (openingPlan(recipe, k, book.book, book.tables, method)?.plan ?? null) : undefined),
    [recipe, k, book.book, book.tables, method],
  );
  if (kitchen.isPending || (!recipe && book.isPending)) return <Loading />;
  if (!recipe) return <Navigate to="/drinks" replace />;
  if (kitchen.isError || !k) return <ErrorPanel error={kitchen.error} again={() => void kitchen.refetch()} />;
  if (!fresh) return <Navigate to="/" replace />;
  const draft = drafts.drafts[key];
  const plan = draft && standsIn(draft, k) ? draft : fresh;

  const keep = (firstStepId: string | null, andStart: boolean, risk: PlanRisk | null = null) =>
    keeping.mutate(async () => {
      const batch = await send('createBatch', { body: { id: uuid(), plan } });
      if (andStart && firstStepId) await begin(batch, firstStepId, risk);
      drafts.drop(key);
      navigate(andStart ? `/batches/${batch.id}/stove` : `/batches/${batch.id}`);
    });

  return (
    <PlanTable
      plan={plan}
      kitchen={k}
      nowMs={nowMs}
      onChange={onChange}
      deeds={(firstStepId, risk) => (
        <>
          <Rehearse plan={plan} firstStepId={firstStepId} />
          <Button disabled={firstStepId === null} onClick={() => setJoining(true)}>
            {say('alreadyOn.itIsOnAlready')}
          </Button>
          {joining && (
            <AlreadyOn plan={plan} kitchen={k} onClose={() => setJoining(false)} onFailed={tellFailed} />
          )}
          <Button
            variant="outlined"
            disabled={firstStepId === null || busy}
            onClick={() => keep(firstStepId, false)}
          >
            {say('planPage.keepThisPlan')}
          </Button>
          <ThumbBar>
            <BeginButton
              risk={risk}
              disabled={firstStepId === null || busy}
              onClick={() => keep(firstStepId, true, risk)}
            />
          </ThumbBar>
        </>
      )}
    />
  );
}

/** A plan that is kept and not begun: edits are guarded by its version. */
export function KeptPlan({ batch }: { batch: Batch }) {
  const kitchen = useKitchen();
  const nowMs = useCoarseNow(MINUTE);
  const navigate = useNavigate();
  const drafts = usePlanDrafts();
  const change = useMutation({ mutationFn: (work: () => Promise<unknown>) => work(), onError: tellFailed });
  const busy = change.isPending;
  const [theirs, setTheirs] = useState<Batch | null>(null);
  const [base, setBase] = useState(batch.version);
  const { put } = drafts;
  const isDraft = drafts.drafts[batch.id] !== undefined;
  const onChange = useCallback(
    (next: PlanDoc, from?: PlanDoc) => {
      if (!isDraft) setBase(batch.version);
      put(batch.id, next, from);
    },
    [put, isDraft, batch.id, batch.version],
  );
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  const draft = drafts.drafts[batch.id];
  const plan = draft ?? batch.plan;
  const version = draft ? base : batch.version;
  const changed = draft !== undefined && JSON.stringify(draft) !== JSON.stringify(batch.plan);

  const save = async (): Promise<Batch | null> => {
    if (!changed) return batch;
    try {
      const saved = await send('savePlan', { params: { id: batch.id }, body: { version, plan } });
      drafts.drop(batch.id);
      setBase(saved.version);
      return saved;
    } catch (error) {
      if (error instanceof ApiError && error.code === 'changedElsewhere')
        setTheirs(error.body.stored as Batch);
      else tellFailed(error);
      return null;
    }
  };

  return (
    <>
      {theirs && (
        <Alert
          severity="warning"
          sx={{ mb: 1.5 }}
          data-testid="conflict"
          action={
            <>
              <Button
                color="inherit"
                onClick={() => {
                  drafts.drop(batch.id);
                  setTheirs(null);
                  void queryClient.invalidateQueries({ queryKey: keys.batch(batch.id) });
                }}
              >
                {say('planPage.takeTheirs')}
              </Button>
              <Button
                color="inherit"
                onClick={() => {
                  setBase(theirs.version);
                  setTheirs(null);
                }}
              >
                {say('planPage.keepMine')}
              </Button>
            </>
          }
        >
          {say('planPage.thisPlanWasChanged', { theirs: describe(theirs.plan), mine: describe(plan) })}
        </Alert>
      )}
      <PlanTable
        plan={plan}
        kitchen={kitchen.data.kitchen}
        nowMs={nowMs}
        onChange={onChange}
        deeds={(firstStepId, risk) => (
          <>
            <Button
              color="error"
              disabled={busy}
              onClick={() =>
                change.mutate(async () => {
                  await send('dropPlan', { params: { id: batch.id }, query: { version: batch.version } });
                  drafts.drop(batch.id);
                  navigate('/');
                })
              }
            >
              {say('planPage.dropThisPlan')}
            </Button>
            <Rehearse plan={plan} firstStepId={firstStepId} />
            {changed && (
              <Button
                variant="outlined"
                disabled={firstStepId === null || busy}
                onClick={() => change.mutate(save)}
              >
                {say('planPage.saveChanges')}
              </Button>
            )}
            <ThumbBar>
              <BeginButton
                risk={risk}
                disabled={firstStepId === null || busy}
                onClick={() =>
                  change.mutate(async () => {
                    const saved = await save();
                    if (!saved || firstStepId === null) return;
                    await begin(saved, firstStepId, risk);
                    navigate(`/batches/${batch.id}/stove`);
                  })
                }
              />
            </ThumbBar>
          </>
        )}
      />
    </>
  );
}

/** A plan in one line, for telling two apart. */
function describe(plan: PlanDoc): string {
  const q = plan.question;
  const wish =
    q.kind === 'litres'
      ? litres(q.litres)
      : q.kind === 'servings'
        ? say('planPage.glasses', { servings: q.servings })
        : q.kind === 'potFull'
          ? say('planPage.aFullPot')
          : say('planPage.usedUp', { mass: grams(q.massG) });
  return say('planPage.sweetness', {
    wish,
    what: say(`method.${plan.choices.methodId}`),
    targetSweetnessPct: plan.choices.targetSweetnessPct ?? '–',
  });
}

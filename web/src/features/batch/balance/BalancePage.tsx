import '../../../words/places/batch.ts';
import type { BalanceWish, Candidate, Suggestion } from '@big-ladle/core/balance';
import { keepingOf, withPoured } from '@big-ladle/core/keeping';
import { sournessGPerL, sweetnessPct } from '@big-ladle/core/liquor';
import { type Taste, wishAfterTastes } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { notify } from '../../../shared/notices.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { type LiveBatch, useLiveBatch } from '../useLiveBatch.ts';
import { litresOf } from './arrows.ts';
import { allowedOf, BalanceBoard } from './BalanceBoard.tsx';
import { CupTrial } from './CupTrial.tsx';
import { balancedNow } from './place.ts';
import { deedsOf, StepsByTaste } from './StepsByTaste.tsx';

/** The balance of a batch that is on: seen before it is poured, and taken step by step where it can be. */
export function BalancePage() {
  const { id = '' } = useParams();
  const { live, batch, isPending, error, refetch } = useLiveBatch(id);
  if (isPending) return <Loading />;
  if (live) return <OnBalance key={id} live={live} />;
  // A plan has its balance among its own stages.
  if (batch) return <Navigate to={`/batches/${id}?stage=balance`} replace />;
  return <ErrorPanel error={error} again={refetch} />;
}

const NOBODY: readonly string[] = [];

function OnBalance({ live }: { live: LiveBatch }) {
  const { program, kitchen, tables, now, step, batch } = live;
  const sweeten = program.steps.find((s) => s.kind === 'sweeten');
  const planned = sweeten?.kind === 'sweeten' ? sweeten.targetSweetnessPct : 8;
  /** The target as it was set, and how many verdicts had been said by then: later ones move it. */
  const [asked, setAsked] = useState<{ wish: BalanceWish; since: number }>({
    wish: { sweetPct: planned, sourGPerL: null },
    since: 0,
  });
  const [way, setWay] = useState<readonly string[] | null>(null);
  const balanced = balancedNow(live);
  const prefers = useMemo(
    () =>
      sweeten
        ? sweeten.lines.flatMap((lineId) => program.lines.find((l) => l.id === lineId)?.itemId ?? [])
        : NOBODY,
    [sweeten, program],
  );
  const tastes: Taste[] = now.log.tastes.filter((t) => t.stepId === step?.id);
  const moved = wishAfterTastes({ ...asked.wish, strengthShare: 1 }, tastes.slice(asked.since));
  const wish: BalanceWish = { sweetPct: moved.sweetPct, sourGPerL: moved.sourGPerL };
  if (!balanced) {
    return (
      <>
        <PageHead title={say('balancePage.balance')} beside={sayDrink(program.recipeId, live.recipe.name)} />
        <Panel>{say('balancePage.thereIsNoDrink')}</Panel>
      </>
    );
  }
  const { liquor, into } = balanced;
  const candidates = allowedOf({ kitchen, tables, prefers });
  const made: Candidate[] = way ? candidates.filter((c) => way.includes(c.id)) : [];
  const addedOf = (itemId: string): number =>
    now.log.added
      .filter((e) => e.body.stepId === step?.id && e.body.itemId === itemId)
      .reduce((sum, e) => sum + e.body.massG, 0);
  const trace = now.moment?.trace ?? [];
  const bottle = program.steps.find((s) => s.kind === 'bottle');
  const hygiene = bottle?.kind === 'bottle' ? bottle.hygiene : 'clean';
  const keptWith = (poured: { itemId: string; volumeMl: number } | null) => {
    const here = into ? now.moment?.vessels[into.vesselId]?.liquor : undefined;
    const row = poured ? tables.liquids.get(poured.itemId) : undefined;
    if (!here || (poured && !row)) return null;
    const atMin = trace.at(-1)?.endMin ?? 0;
    const mixed = poured && row ? withPoured(here, row, poured.volumeMl, atMin) : here;
    return keepingOf({ liquor: mixed, hygiene });
  };
  const lineFor = (itemId: string): string =>
    program.lines.find((l) => l.itemId === itemId && sweeten?.lines.includes(l.id))?.id ??
    `balance-${itemId}`;
  const refused = {
    onRefused: (error: { detail: string }) =>
      notify('error', say('common.notStored', { detail: error.detail })),
  };
  const taking = (s: Suggestion) =>
    into && (
      <Button
        variant="contained"
        onClick={() => {
          setAsked({ wish, since: tastes.length });
          setWay(s.parts.map((p) => p.id));
        }}
      >
        {say('balancePage.takeItStepBy')}
      </Button>
    );
  return (
    <>
      <PageHead
        title={say('balancePage.balance')}
        beside={`${sayDrink(program.recipeId, live.recipe.name)}, ${litres(litresOf(liquor))}${into ? '' : say('balancePage.asItWillStand')}`}
      >
        <Button component={Link} to={`/batches/${batch.id}/stove`} variant="outlined">
          {say('batchPage.atTheStove')}
        </Button>
      </PageHead>
      <BalanceBoard
        liquor={liquor}
        kitchen={kitchen}
        tables={tables}
        wish={wish}
        onWish={(next) => setAsked({ wish: next, since: tastes.length })}
        prefers={prefers}
        {...(into ? { taking } : {})}
      >
        {into && way && (
          <StepsByTaste
            liquor={liquor}
            wish={wish}
            candidates={made}
            kitchen={kitchen}
            tables={tables}
            addedOf={addedOf}
            keptWith={keptWith}
            tastes={tastes}
            onDose={(parts) => void live.record(deedsOf(parts, candidates, into, lineFor), refused)}
            onTaste={(axis, verdict) =>
              void live.record(
                [
                  {
                    kind: 'tasted',
                    body: {
                      stepId: into.stepId,
                      axes: { [axis]: verdict },
                      atSweetnessPct: Math.round(sweetnessPct(liquor) * 1000) / 1000,
                      atSourGPerL: Math.round(sournessGPerL(liquor) * 1000) / 1000,
                    },
                  },
                ],
                refused,
              )
            }
          />
        )}
      </BalanceBoard>
      <Box sx={{ mt: 1.75, maxWidth: 640 }}>
        <CupTrial
          drink={liquor}
          tables={tables}
          into={into}
          onAdd={(deed) => void live.record([deed], refused)}
        />
      </Box>
      {!into && <Box sx={{ mt: 1.5, color: role('inkMuted') }}>{say('balancePage.nothingCanGoIn')}</Box>}
    </>
  );
}

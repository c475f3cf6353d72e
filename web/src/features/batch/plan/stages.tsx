import '../../../words/places/batch.ts';
import '../../../words/places/cost.ts';
import { marksOf } from '@big-ladle/core/balance';
import { completeChoices, type Presets, presetsOf } from '@big-ladle/core/book';
import type { Kitchen, PlanDoc, Recipe } from '@big-ladle/core/documents';
import { acidEvidence } from '@big-ladle/core/keeping';
import { lanesOf } from '@big-ladle/core/plan';
import {
  finishedLiquor,
  type Program,
  type Simulation,
  standsSideBySide,
  tagsOfBatch,
} from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { lazy, type ReactNode, Suspense, useMemo } from 'react';
import { Fold } from '../../../shared/Fold.tsx';
import { WhoAsksFirst } from '../../../shared/LotMarks.tsx';
import { LaneDrawing } from '../../../shared/lanes/LaneDrawing.tsx';
import type { StageId } from '../../../shared/StageLine.tsx';
import { Panel } from '../../../shared/ui.tsx';
import { num } from '../../../words/numbers.ts';
import { litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { plannedBase } from '../balance/place.ts';
import { SwapChoices } from '../balance/SwapChoices.tsx';
import { BalancePanel } from '../panels/BalancePanel.tsx';
import { BottlesPanel } from '../panels/BottlesPanel.tsx';
import { DrawPanel } from '../panels/DrawPanel.tsx';
import { KeepPanel } from '../panels/KeepPanel.tsx';
import { ListNotes, ListPanel } from '../panels/ListPanel.tsx';
import { StrainPanel } from '../panels/StrainPanel.tsx';
import { TwoColumns } from '../panels/TwoColumns.tsx';
import { WashPanel } from '../panels/WashPanel.tsx';
import { FormChoices } from './choices/FormChoices.tsx';
import { RootChoices } from './choices/RootChoices.tsx';
import { PresetChoices, StageChoices } from './choices/StageChoices.tsx';
import { WishControls } from './choices/WishControls.tsx';
import { IsThereEnough } from './IsThereEnough.tsx';
import { PlanCost } from './PlanCost.tsx';
import type { Made } from './useMadePlan.ts';

/** The plane with its programme: it comes when its stage is opened. */
const PlannedBalance = lazy(() =>
  import('../balance/PlannedBalance.tsx').then((m) => ({ default: m.PlannedBalance })),
);

/** Who is to be told before a glass of it is poured: said here once, folded, and not first at the bottle. */
export function WhoPanel({ program, sim, tables }: { program: Program; sim: Simulation; tables: Tables }) {
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

interface StageInput {
  made: Made;
  plan: PlanDoc;
  recipe: Recipe;
  kitchen: Kitchen;
  tables: Tables;
  onChange: (plan: PlanDoc) => void;
  /** What only follows from the plan: it stays as it is while the finger moves. */
  following: { beside: ReactNode; ledger: ReactNode };
}

/** What the panels of several stages need, worked out once. */
function withShared(input: StageInput, stage: StageId) {
  const { made, plan, recipe, kitchen, tables, onChange } = input;
  const { program, sim } = made.input;
  const bottled = finishedLiquor(sim);
  const choosing = {
    plan,
    recipe,
    choices: completeChoices(recipe, plan.choices),
    onChange,
    mayFillHot: made.fills === 1 && bottled !== undefined && acidEvidence(bottled).shown,
  };
  return {
    ...input,
    choosing,
    chosen: <StageChoices stage={stage} {...choosing} />,
    presets: presetsOf(recipe, tables),
    massOf: (lineId: string) =>
      program.lines.find((l) => l.id === lineId)?.massG || (sim.dosedG[lineId] ?? 0),
    wish: (
      <WishControls
        plan={plan}
        recipe={recipe}
        kitchen={kitchen}
        tables={tables}
        litresNow={made.litres}
        onChange={onChange}
      />
    ),
    limit: (
      <span data-testid="limit">
        {say(`limit.${made.limit}`, { litres: litres(kitchen.fridgeFreeL) })}
        {standsSideBySide(made.program)
          ? say('planTable.sideBySide', { pots: num(made.fills) })
          : made.fills > 1 && say('planTable.fillsOfThePot', { fills: num(made.fills) })}{' '}
      </span>
    ),
  };
}

/** The panel of each stage. */
const PANELS: Readonly<Record<StageId, (of: ReturnType<typeof withShared>) => ReactNode>> = {
  size: ({ made, plan, kitchen, tables, choosing, wish, limit, following, presets, onChange }) => (
    <TwoColumns
      rightFirst
      left={following.beside}
      right={
        <>
          <ListPanel {...made.input}>
            {wish}
            <PresetChoices
              {...choosing}
              presets={presets}
              leaf={leafOf(presets, made.program, made.litres)}
            />
          </ListPanel>
          <IsThereEnough program={made.program} dosedG={made.input.sim.dosedG} tables={tables} />
          <Panel testId="plan-cost">
            <Fold summary={say('cost.title')} lazily>
              <PlanCost plan={plan} kitchen={kitchen} onChange={onChange} />
            </Fold>
          </Panel>
          {/* The laboratory: where the litres go, and how sure it all is. */}
          <Fold summary={say('planTable.behind')} testId="behind">
            <ListNotes {...made.input} note={limit} />
            {following.ledger}
          </Fold>
        </>
      }
    />
  ),
  wash: ({ made, plan, recipe, kitchen, tables, onChange, chosen, massOf }) => (
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
      right={<WashPanel {...made.input} />}
    />
  ),
  draw: ({ made, chosen }) => (
    <>
      <TwoColumns left={chosen} right={<DrawPanel {...made.input} />} />
      <Box sx={{ mt: 1.75 }}>
        <Panel title={say('lanes.title')}>
          <PlanLanes {...made.input} />
        </Panel>
      </Box>
    </>
  ),
  strain: ({ made, chosen }) => <TwoColumns left={chosen} right={<StrainPanel {...made.input} />} />,
  balance: ({ made, plan, recipe, kitchen, tables, onChange, choosing, chosen, massOf }) => (
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
              base={plannedBase(made.input.sim)}
              finishedMl={made.litres * 1000}
              onChange={onChange}
            />
          </>
        }
        right={<BalancePanel {...made.input} />}
      />
      <Box sx={{ mt: 1.75 }}>
        <Suspense>
          <PlannedBalance
            plan={plan}
            recipe={recipe}
            program={made.input.program}
            sim={made.input.sim}
            kitchen={kitchen}
            tables={tables}
            target={choosing.choices.targetSweetnessPct}
            instead={choosing.choices.instead}
            onChange={onChange}
          />
        </Suspense>
      </Box>
    </>
  ),
  bottle: ({ made, chosen }) => <TwoColumns left={chosen} right={<BottlesPanel {...made.input} />} />,
  keep: ({ made }) => <KeepPanel {...made.input} life={made.life} />,
};

/** The panel of the stage that is open. */
export const stagePanel = (stage: StageId, input: StageInput): ReactNode =>
  PANELS[stage](withShared(input, stage));

import {
  BOOK,
  defaultChoices,
  type Kitchen,
  type MethodId,
  type PlanDoc,
  type PlanProblem,
  type Question,
  type Recipe,
  SHIPPED_TABLES,
  simulateBatch,
  solvePlanDoc,
  startBy,
  timetableFrom,
} from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { STAGE_IDS, type StageId, StageLine } from '../../shared/StageLine.tsx';
import { Panel } from '../../shared/ui.tsx';
import { fromLocalField, toLocalField } from '../../shared/zone.ts';
import { heading, role } from '../../theme/theme.ts';
import { duration, grams, litres, moment, num, say, sayStepProblem } from '../../words/say.ts';
import { run } from '../../workers/run.ts';
import { stagesOf } from './figures.ts';
import {
  BalancePanel,
  BottlesPanel,
  DrawPanel,
  KeepPanel,
  LedgerPanel,
  ListPanel,
  PotPanel,
  StrainPanel,
  TimePanel,
  TwoColumns,
  WashPanel,
} from './panels.tsx';

const PANEL_ID = 'stage-panel';

export interface PlanTableProps {
  plan: PlanDoc;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (plan: PlanDoc) => void;
  /** Deeds of the head: keep, start. The first step is null while the plan does not work out. */
  deeds: (firstStepId: string | null) => ReactNode;
}

/** A wish for another kind of question, starting from what the plan makes now. */
function askFor(kind: Question['kind'], litresNow: number, recipe: Recipe, kitchen: Kitchen): Question {
  switch (kind) {
    case 'litres':
      return { kind, litres: Math.round(litresNow * 10) / 10 };
    case 'servings':
      return {
        kind,
        servings: Math.max(1, Math.round((litresNow * 1000) / kitchen.servingMl)),
        servingMl: kitchen.servingMl,
      };
    case 'potFull':
      return { kind };
    case 'useUp': {
      const main = recipe.lines.find((l) => l.kind === 'solid' && l.rule.kind === 'linear')!;
      return { kind, lineId: main.id, massG: Math.round((main.massG * litresNow) / recipe.basisL) };
    }
  }
}

const inline = {
  ...heading,
  font: 'inherit',
  fontWeight: 700,
  color: role('ink'),
  background: 'transparent',
  border: 0,
  borderBottom: `2px solid ${role('line')}`,
  minHeight: 32,
  maxWidth: '100%',
  '&:focus-visible': { outline: `3px solid ${role('rim')}` },
};

/** The plan at the table: the wish, the line, and the panel of one stage. Everything below follows from the wish. */
export function PlanTable({ plan, kitchen, nowMs, onChange, deeds }: PlanTableProps) {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('stage');
  const stage: StageId = STAGE_IDS.find((s) => s === asked) ?? 'size';
  const openStage = (id: StageId) => {
    search.set('stage', id);
    setSearch(search, { replace: true });
  };

  const solved = useMemo(() => solvePlanDoc(plan, BOOK, kitchen, SHIPPED_TABLES), [plan, kitchen]);
  // A pot too small still shows the batch as it would be in more fills, under the message that says so.
  const tooSmall = !solved.ok && solved.problem.kind === 'potTooSmall' ? solved.problem : null;
  const shown = useMemo(
    () =>
      solved.ok
        ? solved
        : tooSmall
          ? solvePlanDoc({ ...plan, fills: 'asNeeded' }, BOOK, kitchen, SHIPPED_TABLES)
          : solved,
    [solved, tooSmall, plan, kitchen],
  );
  const sim = useMemo(
    () => (shown.ok ? simulateBatch(shown.value.program, kitchen, SHIPPED_TABLES) : null),
    [shown, kitchen],
  );

  const recipe = BOOK.find((r) => r.id === plan.recipeId)!;
  const pot = kitchen.pots.find((p) => p.id === plan.potId);
  const choose = (change: Partial<PlanDoc['choices']>) =>
    onChange({ ...plan, choices: { ...plan.choices, ...change } });

  const timetable =
    shown.ok && sim
      ? plan.readyAtMs !== null
        ? startBy(shown.value.program, sim, plan.readyAtMs)
        : timetableFrom(shown.value.program, sim, nowMs)
      : null;
  const late = timetable !== null && plan.readyAtMs !== null && timetable.startMs < nowMs;

  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, rowGap: 1, mb: 1 }}>
        <Box
          component="h1"
          data-page-title
          tabIndex={-1}
          sx={{ ...heading, fontSize: '1.75rem', lineHeight: 1.1, m: 0 }}
        >
          {say(`drink.${plan.recipeId}`)}
        </Box>
        <Box sx={{ color: role('inkMuted') }}>{say(`method.${plan.choices.methodId}`)}</Box>
        <Box sx={{ ml: { md: 'auto' }, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {deeds(solved.ok ? (solved.value.program.steps[0]?.id ?? null) : null)}
        </Box>
      </Box>
      <Box sx={{ mb: 1.5, display: 'flex', flexWrap: 'wrap', gap: '4px 8px', alignItems: 'baseline' }}>
        <span>I want</span>
        <strong data-testid="wish-now">
          {shown.ok ? `${litres(shown.value.litres)} in bottles` : 'more than goes'}
        </strong>
        <span>
          from the{' '}
          <Box
            component="select"
            aria-label="Pot"
            value={plan.potId}
            onChange={(e: React.ChangeEvent<HTMLSelectElement>) =>
              onChange({ ...plan, potId: e.target.value, fills: 1 })
            }
            sx={inline}
          >
            {kitchen.pots.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Box>
        </span>
        <span>
          on the{' '}
          <Box
            component="select"
            aria-label="Ring"
            value={plan.burnerId}
            onChange={(e: React.ChangeEvent<HTMLSelectElement>) =>
              onChange({ ...plan, burnerId: e.target.value })
            }
            sx={inline}
          >
            {kitchen.burners.map((b) => (
              <option key={b.id} value={b.id}>
                {b.name}
              </option>
            ))}
          </Box>
        </span>
        <span>
          ready by{' '}
          <Box
            component="input"
            type="datetime-local"
            aria-label="Ready by"
            value={plan.readyAtMs === null ? '' : toLocalField(plan.readyAtMs, kitchen.zone)}
            onChange={(e: React.ChangeEvent<HTMLInputElement>) =>
              onChange({ ...plan, readyAtMs: fromLocalField(e.target.value, kitchen.zone) })
            }
            sx={inline}
          />
        </span>
        {timetable && (
          <Box
            component="span"
            data-testid="start-by"
            sx={{ color: late ? role('danger') : role('inkMuted') }}
          >
            {plan.readyAtMs === null
              ? `begun now it is in bottles ${moment(timetable.readyMs, nowMs, kitchen.zone)}`
              : late
                ? `too late by ${duration((nowMs - timetable.startMs) / 60_000)}: begun now it is ready ${moment(nowMs + timetable.totalMin * 60_000, nowMs, kitchen.zone)}`
                : `start by ${moment(timetable.startMs, nowMs, kitchen.zone)}`}
          </Box>
        )}
      </Box>

      {shown.ok && sim && pot && timetable && (
        <StageLine
          stages={stagesOf({
            program: shown.value.program,
            sim,
            kitchen,
            pot,
            startMs: timetable.startMs,
            nowMs,
            doneUntil: null,
          })}
          open={stage}
          onOpen={openStage}
          panelId={PANEL_ID}
        />
      )}

      {!solved.ok && (
        <ProblemPanel plan={plan} problem={solved.problem} kitchen={kitchen} onChange={onChange} />
      )}

      {!(shown.ok && sim && pot && timetable) ? (
        <Panel title="The wish">
          <WishControls
            plan={plan}
            recipe={recipe}
            kitchen={kitchen}
            litresNow={recipe.basisL}
            onChange={onChange}
          />
        </Panel>
      ) : (
        (() => {
          const input = {
            program: shown.value.program,
            sim,
            kitchen,
            pot,
            startMs: timetable.startMs,
            nowMs,
          };
          const wish = (
            <WishControls
              plan={plan}
              recipe={recipe}
              kitchen={kitchen}
              litresNow={shown.value.litres}
              onChange={onChange}
            />
          );
          const limit = (
            <span data-testid="limit">
              {say(`limit.${shown.value.limit}`, { litres: litres(kitchen.fridgeFreeL) })}
              {shown.value.fills > 1 && ` ${num(shown.value.fills)} fills of the pot.`}{' '}
            </span>
          );
          return (
            <Box role="tabpanel" id={PANEL_ID} aria-labelledby={`stage-${stage}`}>
              {stage === 'size' && (
                <TwoColumns
                  rightFirst
                  left={
                    <>
                      <PotPanel {...input} />
                      <TimePanel
                        program={input.program}
                        timetable={timetable}
                        kitchen={kitchen}
                        nowMs={nowMs}
                      />
                    </>
                  }
                  right={
                    <>
                      <ListPanel {...input} note={limit}>
                        {wish}
                      </ListPanel>
                      <LedgerPanel {...input} />
                    </>
                  }
                />
              )}
              {stage === 'wash' && (
                <TwoColumns
                  left={
                    <Panel title="Your choice">
                      <Choice
                        label="Rinses"
                        value={String(plan.choices.rinses)}
                        options={['1', '2', '3', '4', '5', '6'].map((v) => ({ value: v, text: v }))}
                        onChange={(v) => choose({ rinses: Number(v) })}
                      />
                      <Box sx={{ color: role('inkMuted'), mt: 1 }}>
                        One quick rinse, or until the bowl shows no sand: each rinse takes a little colour and
                        a minute and a half.
                      </Box>
                    </Panel>
                  }
                  right={<WashPanel {...input} />}
                />
              )}
              {stage === 'draw' && (
                <TwoColumns
                  left={
                    <Panel title="Your choice">
                      <Box sx={{ display: 'grid', gap: 2 }}>
                        <Choice
                          label="Method"
                          value={plan.choices.methodId}
                          options={recipe.methods.map((m) => ({ value: m, text: say(`method.${m}`) }))}
                          onChange={(v) =>
                            onChange({
                              ...plan,
                              choices: {
                                ...defaultChoices(recipe, v as MethodId),
                                targetSweetnessPct: plan.choices.targetSweetnessPct,
                                hygiene: plan.choices.hygiene,
                                rinses: plan.choices.rinses,
                              },
                            })
                          }
                        />
                        <QuantityField
                          label="Minutes at the boil"
                          value={plan.choices.boilMin}
                          min={1}
                          max={180}
                          decimals={0}
                          unit="min"
                          onCommit={(v) => choose({ boilMin: v })}
                        />
                        <Choice
                          label="Lid at the boil"
                          value={plan.choices.lid}
                          options={[
                            { value: 'off', text: 'off' },
                            { value: 'ajar', text: 'ajar' },
                            { value: 'on', text: 'on' },
                          ]}
                          onChange={(v) => choose({ lid: v as 'on' })}
                        />
                        {plan.choices.methodId === 'shortBoilLongSteep' && (
                          <>
                            <QuantityField
                              label="Hours of steeping"
                              value={plan.choices.steepMin / 60}
                              min={0.1}
                              max={72}
                              unit="h"
                              onCommit={(v) => choose({ steepMin: Math.round(v * 60) })}
                            />
                            <Choice
                              label="It steeps"
                              value={plan.choices.steepPlace}
                              options={[
                                { value: 'fridge', text: 'cooled, in the fridge' },
                                { value: 'counter', text: 'on the counter' },
                              ]}
                              onChange={(v) => choose({ steepPlace: v as 'fridge' })}
                            />
                            {plan.choices.steepPlace === 'counter' && (
                              <Alert severity="warning">{say('guide.steep.counter')}</Alert>
                            )}
                          </>
                        )}
                      </Box>
                    </Panel>
                  }
                  right={<DrawPanel {...input} />}
                />
              )}
              {stage === 'strain' && (
                <TwoColumns
                  left={
                    <Panel title="Your choice">
                      <Box sx={{ display: 'grid', gap: 2 }}>
                        <Choice
                          label="The solids are"
                          value={plan.choices.press}
                          options={[
                            { value: 'drain', text: 'drained' },
                            { value: 'press', text: 'pressed' },
                            { value: 'wring', text: 'wrung' },
                          ]}
                          onChange={(v) => choose({ press: v as 'press' })}
                        />
                        <Choice
                          label="It cools"
                          value={plan.choices.coolBy}
                          options={[
                            { value: 'iceBath', text: 'in ice water' },
                            { value: 'fridge', text: 'in the fridge' },
                            { value: 'counter', text: 'on the counter' },
                          ]}
                          onChange={(v) => choose({ coolBy: v as 'iceBath' })}
                        />
                      </Box>
                    </Panel>
                  }
                  right={<StrainPanel {...input} />}
                />
              )}
              {stage === 'balance' && (
                <TwoColumns
                  left={
                    <Panel title="How sweet">
                      <SweetScale
                        value={plan.choices.targetSweetnessPct}
                        onChange={(v) => choose({ targetSweetnessPct: v })}
                      />
                    </Panel>
                  }
                  right={<BalancePanel {...input} />}
                />
              )}
              {stage === 'bottle' && (
                <TwoColumns
                  left={
                    <Panel title="Your choice">
                      <Choice
                        label="Bottles are"
                        value={plan.choices.hygiene}
                        options={[
                          { value: 'sterilised', text: 'sterilised' },
                          { value: 'clean', text: 'clean' },
                        ]}
                        onChange={(v) => choose({ hygiene: v as 'clean' })}
                      />
                      <Box sx={{ color: role('inkMuted'), mt: 1 }}>{say('guide.bottle.sterilise')}</Box>
                    </Panel>
                  }
                  right={<BottlesPanel {...input} />}
                />
              )}
              {stage === 'keep' && <KeepPanel {...input} />}
            </Box>
          );
        })()
      )}
    </>
  );
}

/** A few ways, all in sight. */
export function Choice(props: {
  label: string;
  value: string;
  options: readonly { value: string; text: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <Box>
      <Box sx={{ fontSize: '0.95em', color: role('inkMuted'), mb: 0.5 }}>{props.label}</Box>
      <ToggleButtonGroup
        exclusive
        value={props.value}
        onChange={(_, value: string | null) => value !== null && props.onChange(value)}
        aria-label={props.label}
        sx={{ flexWrap: 'wrap' }}
      >
        {props.options.map((o) => (
          <ToggleButton key={o.value} value={o.value}>
            {o.text}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}

const SCALE = [
  { value: 0, label: 'plain' },
  { value: 5, label: 'light' },
  { value: 9, label: 'medium' },
  { value: 13, label: 'sweet' },
];

/** A plain scale of sweetness, g of sugar or its equal in 100 g. */
export function SweetScale(props: { value: number; onChange: (value: number) => void }) {
  return (
    <Box sx={{ px: 1.5 }}>
      <Slider
        aria-label="Sweetness aimed at, grams of sugar in 100 grams"
        value={props.value}
        min={0}
        max={16}
        step={0.5}
        marks={SCALE}
        valueLabelDisplay="off"
        onChange={(_, value) => props.onChange(value as number)}
        sx={{ mb: 3 }}
      />
      <Box>
        Aim at <strong>{num(props.value, 1)} g</strong> in 100 g, as sweet as sugar water of{' '}
        {num(props.value, 1)} °Bx.
      </Box>
    </Box>
  );
}

const QUESTIONS: { kind: Question['kind']; text: string }[] = [
  { kind: 'litres', text: 'This much in bottles' },
  { kind: 'servings', text: 'This many glasses' },
  { kind: 'potFull', text: 'As much as the pot takes' },
  { kind: 'useUp', text: 'Use up what I have' },
];

/** The wish: one of the four questions, and its figure by slider or by typing. */
function WishControls(props: {
  plan: PlanDoc;
  recipe: Recipe;
  kitchen: Kitchen;
  litresNow: number;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, recipe, kitchen, litresNow, onChange } = props;
  const { question } = plan;
  const ask = (next: Question) => onChange({ ...plan, question: next });
  const most = Math.max(
    4,
    Math.ceil(
      kitchen.pots.reduce(
        (max, p) => Math.max(max, (Math.PI / 4) * (p.diameterCm / 10) ** 2 * (p.heightCm / 10)),
        0,
      ),
    ),
  );
  const slider = (
    value: number,
    min: number,
    max: number,
    step: number,
    label: string,
    set: (v: number) => void,
  ) => (
    <Slider
      aria-label={label}
      value={Math.min(max, value)}
      min={min}
      max={max}
      step={step}
      onChange={(_, v) => set(v as number)}
      sx={{ flex: '1 1 160px', mx: 1.5 }}
    />
  );
  return (
    <Box>
      <ToggleButtonGroup
        exclusive
        value={question.kind}
        onChange={(_, kind: Question['kind'] | null) => kind && ask(askFor(kind, litresNow, recipe, kitchen))}
        aria-label="What you wish for"
        sx={{ flexWrap: 'wrap', mb: 1 }}
      >
        {QUESTIONS.map((q) => (
          <ToggleButton key={q.kind} value={q.kind} sx={{ px: 0.75, py: 0.5, fontSize: '0.88rem' }}>
            {q.text}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', mb: 1 }}>
        {question.kind === 'litres' && (
          <>
            {slider(question.litres, 1, most, 0.1, 'Litres in bottles', (v) =>
              ask({ kind: 'litres', litres: v }),
            )}
            <QuantityField
              label="Litres in bottles"
              value={question.litres}
              min={0.2}
              max={400}
              unit="L"
              onCommit={(v) => ask({ kind: 'litres', litres: v })}
              testId="wish-litres"
            />
          </>
        )}
        {question.kind === 'servings' && (
          <>
            {slider(question.servings, 1, 100, 1, 'Glasses', (v) => ask({ ...question, servings: v }))}
            <QuantityField
              label="Glasses"
              value={question.servings}
              min={1}
              max={2000}
              decimals={0}
              onCommit={(v) => ask({ ...question, servings: Math.round(v) })}
              width={110}
            />
            <QuantityField
              label="A glass"
              value={question.servingMl}
              min={10}
              max={2000}
              decimals={0}
              unit="mL"
              onCommit={(v) => ask({ ...question, servingMl: v })}
              width={130}
            />
          </>
        )}
        {question.kind === 'potFull' && (
          <>
            <Box>{litres(litresNow)} come out.</Box>
            <Choice
              label="Fills of the pot"
              value={String(plan.fills === 'asNeeded' ? 1 : plan.fills)}
              options={['1', '2', '3'].map((v) => ({ value: v, text: v }))}
              onChange={(v) => onChange({ ...plan, fills: Number(v) })}
            />
          </>
        )}
        {question.kind === 'useUp' && (
          <>
            <TextField
              select
              label="All of the"
              value={question.lineId}
              onChange={(e) => {
                const line = recipe.lines.find((l) => l.id === e.target.value);
                if (line)
                  ask({
                    kind: 'useUp',
                    lineId: line.id,
                    massG: Math.round((line.massG * litresNow) / recipe.basisL),
                  });
              }}
              sx={{ minWidth: 190 }}
            >
              {recipe.lines
                .filter((l) => l.kind === 'solid' && (l.rule.kind === 'linear' || l.rule.kind === 'power'))
                .map((l) => (
                  <MenuItem key={l.id} value={l.id}>
                    {say(`item.${l.itemId}`)}
                  </MenuItem>
                ))}
            </TextField>
            <QuantityField
              label="Grams I have"
              value={question.massG}
              min={0.5}
              max={100_000}
              decimals={0}
              unit="g"
              onCommit={(v) => ask({ ...question, massG: v })}
            />
            <Box>
              {grams(question.massG)} make {litres(litresNow)}.
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}

/** What does not work out, by how much, and what would. */
function ProblemPanel(props: {
  plan: PlanDoc;
  problem: PlanProblem;
  kitchen: Kitchen;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, problem, kitchen, onChange } = props;
  const pot = kitchen.pots.find((p) => p.id === plan.potId);
  const burner = kitchen.burners.find((b) => b.id === plan.burnerId);
  const text = ((): string => {
    switch (problem.kind) {
      case 'potTooSmall':
        return say('problem.potTooSmall', {
          over: litres(problem.overL),
          pot: pot?.name ?? 'pot',
          fills: plan.fills === 1 || plan.fills === 'asNeeded' ? 'one fill' : `${plan.fills} fills`,
          fits: litres(problem.fitsL),
        });
      case 'fridgeTooSmall':
        return say('problem.fridgeTooSmall', { wants: litres(problem.wantsL), free: litres(problem.freeL) });
      case 'tooLittle':
        return say('problem.tooLittle', { least: litres(problem.leastL) });
      case 'step':
        return sayStepProblem(problem.problem, { burner: burner?.name ?? 'ring' });
      default:
        return say(`problem.${problem.kind}`);
    }
  })();
  return (
    <Alert severity="warning" sx={{ mb: 1.5 }} data-testid="plan-problem">
      <Box>{text}</Box>
      {problem.kind === 'potTooSmall' && (
        <Offers
          plan={plan}
          fitsL={problem.fitsL}
          fillsNeeded={problem.fillsNeeded}
          kitchen={kitchen}
          onChange={onChange}
        />
      )}
      {problem.kind === 'fridgeTooSmall' && (
        <Box sx={{ mt: 1 }}>
          <Button
            variant="outlined"
            onClick={() =>
              onChange({ ...plan, question: { kind: 'litres', litres: Math.floor(problem.freeL * 10) / 10 } })
            }
          >
            Make {litres(problem.freeL)}
          </Button>
        </Box>
      )}
    </Alert>
  );
}

/** More fills, another pot, or less: each one tap. What several fills cost in time is worked out beside the screen. */
function Offers(props: {
  plan: PlanDoc;
  fitsL: number;
  fillsNeeded: number;
  kitchen: Kitchen;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, fitsL, fillsNeeded, kitchen, onChange } = props;
  const [hours, setHours] = useState<number | null>(null);
  const possible = fillsNeeded <= 6;
  useEffect(() => {
    setHours(null);
    if (!possible) return;
    const stop = new AbortController();
    run({ kind: 'compareFills', plan, kitchen, fills: [fillsNeeded] }, { signal: stop.signal })
      .then((answer) => {
        const first = answer.results[0]?.result;
        if (first?.ok) setHours(first.value.simulation.endMin);
      })
      .catch(() => undefined);
    return () => stop.abort();
  }, [plan, kitchen, fillsNeeded, possible]);
  const others = useMemo(
    () =>
      kitchen.pots.filter(
        (p) =>
          p.id !== plan.potId &&
          solvePlanDoc({ ...plan, potId: p.id, fills: 1 }, BOOK, kitchen, SHIPPED_TABLES).ok,
      ),
    [kitchen, plan],
  );
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
      {possible && (
        <Button variant="outlined" onClick={() => onChange({ ...plan, fills: fillsNeeded })}>
          Make it in {num(fillsNeeded)} fills{hours !== null && `, ${duration(hours)} in all`}
        </Button>
      )}
      {others.map((p) => (
        <Button key={p.id} variant="outlined" onClick={() => onChange({ ...plan, potId: p.id, fills: 1 })}>
          Use the {p.name}
        </Button>
      ))}
      <Button
        variant="outlined"
        onClick={() =>
          onChange({ ...plan, question: { kind: 'litres', litres: Math.floor(fitsL * 10) / 10 } })
        }
      >
        Make {litres(Math.floor(fitsL * 10) / 10)}
      </Button>
    </Box>
  );
}

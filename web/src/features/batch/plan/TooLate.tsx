import '../../../words/places/batch.ts';
import { choicesUnder } from '@big-ladle/core/book';
import type { Kitchen, PlanDoc, Recipe } from '@big-ladle/core/documents';
import { type AwayWindow, findAlternatives, longestStep, type WayOut } from '@big-ladle/core/plan';
import type { Program, Simulation } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { useBook } from '../../../shared/book.ts';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayRich } from '../../../words/rich.ts';
import { duration, moment, percent, say } from '../../../words/say.ts';

/** "Ready by" cannot be met: the step that binds, and three ways out, each with its price. */
export function TooLate(props: {
  plan: PlanDoc & { readyAtMs: number };
  recipe: Recipe;
  program: Program;
  sim: Simulation;
  kitchen: Kitchen;
  away: readonly AwayWindow[];
  /** The step that the hours away stand against; null: there is simply too little time. */
  bindingStepId: string | null;
  nowMs: number;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, recipe, program, sim, kitchen, away, nowMs, onChange } = props;
  const { book, tables } = useBook();
  const ways = useMemo(
    () => findAlternatives(plan, plan.readyAtMs, nowMs, away, book, kitchen, tables),
    [plan, nowMs, away, book, kitchen, tables],
  );
  const binding = program.steps.find((s) => s.id === (props.bindingStepId ?? longestStep(sim.trace)));
  const take = (way: WayOut): PlanDoc => {
    switch (way.kind) {
      case 'fasterMethod':
        return { ...plan, choices: choicesUnder(recipe, way.methodId, plan.choices) };
      case 'splitPots':
        return plan;
      case 'laterServing':
        return { ...plan, readyAtMs: Math.ceil(way.readyMs / 900_000) * 900_000 };
    }
  };
  return (
    <Panel title={say('tooLate.notReadyByThen')} sx={{ mb: 1.75, borderTopColor: role('danger') }}>
      <Box data-testid="too-late">
        {binding &&
          say('tooLate.whatBindsIsWhich', {
            stepName: stepName(binding, program).toLowerCase(),
            isBindingStepId: Boolean(props.bindingStepId),
          })}
        <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
          {ways.map((way) => (
            <Box
              component="li"
              key={way.kind}
              data-testid={`way-${way.kind}`}
              sx={{
                display: 'flex',
                gap: 1.5,
                alignItems: 'center',
                flexWrap: 'wrap',
                py: 0.75,
                borderBottom: `1px solid ${role('hairline')}`,
              }}
            >
              <Box sx={{ flex: '1 1 260px' }}>
                {sayRich('tooLate.readyInTime', {
                  what: <strong>{say(`way.${way.kind}`, { method: say(`method.${way.methodId}`) })}</strong>,
                  ready: moment(way.readyMs, nowMs, kitchen.zone),
                  isMeets: Boolean(way.meets),
                })}
                <Box sx={{ color: role('inkMuted') }}>{price(way)}</Box>
              </Box>
              {way.kind !== 'splitPots' && (
                <Button variant="outlined" onClick={() => onChange(take(way))}>
                  {way.kind === 'fasterMethod' ? say('common.takeIt') : say('tooLate.serveThen')}
                </Button>
              )}
            </Box>
          ))}
        </Box>
      </Box>
    </Panel>
  );
}

/** What a way out costs, in a line. */
function price(way: WayOut): string {
  const change = way.strength - 1;
  const strength =
    Math.abs(change) < 0.005
      ? say('tooLate.asStrongAsPlanned')
      : `${percent(Math.abs(change))} ${change < 0 ? 'weaker' : 'stronger'}`;
  const hands = say('tooLate.ofYourHands', { handsOn: duration(way.handsOnMin) });
  switch (way.kind) {
    case 'fasterMethod':
      return `${strength}, ${hands}.`;
    case 'splitPots':
      return say('tooLate.halfInEachPot', { isWantsPot: Boolean(way.wantsPot) });
    case 'laterServing':
      return say('tooLate.thePlanAsIt', { hands });
  }
}

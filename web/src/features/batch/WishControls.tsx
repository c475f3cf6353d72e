import '../../words/places/batch.ts';
import {
  type Kitchen,
  type PlanDoc,
  type Question,
  type Recipe,
  type Tables,
  usableLines,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { Choice } from '../../shared/Choice.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { litres, type MessageKey, say } from '../../words/say.ts';
import { UseUp } from './UseUp.tsx';

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
      const [main] = usableLines(recipe);
      // A recipe of nothing but water has nothing to use up.
      if (!main) return { kind: 'litres', litres: Math.round(litresNow * 10) / 10 };
      const massG = Math.max(1, Math.round(((main.massG || 100) * litresNow) / recipe.basisL));
      return { kind, lineId: main.id, massG };
    }
  }
}

const QUESTIONS: { kind: Question['kind']; text: MessageKey }[] = [
  { kind: 'litres', text: 'wishControls.thisMuchInBottles' },
  { kind: 'servings', text: 'wishControls.thisManyGlasses' },
  { kind: 'potFull', text: 'wishControls.asMuchAsThe' },
  { kind: 'useUp', text: 'wishControls.useUpWhatI' },
];

/** The wish: one of the four questions, and its figure by slider or by typing. */
export function WishControls(props: {
  plan: PlanDoc;
  recipe: Recipe;
  kitchen: Kitchen;
  tables: Tables;
  litresNow: number;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, recipe, kitchen, tables, litresNow, onChange } = props;
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
        aria-label={say('wishControls.whatYouWishFor')}
        sx={{ flexWrap: 'wrap', mb: 1 }}
      >
        {QUESTIONS.map((q) => (
          <ToggleButton key={q.kind} value={q.kind} sx={{ px: 0.75, py: 0.5, fontSize: '0.88rem' }}>
            {say(q.text)}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', mb: 1 }}>
        {question.kind === 'litres' && (
          <>
            {slider(question.litres, 1, most, 0.1, say('wishControls.litresInBottles'), (v) =>
              ask({ kind: 'litres', litres: v }),
            )}
            <QuantityField
              label={say('wishControls.litresInBottles')}
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
            {slider(question.servings, 1, 100, 1, say('wishControls.glasses'), (v) =>
              ask({ ...question, servings: v }),
            )}
            <QuantityField
              label={say('wishControls.glasses')}
              value={question.servings}
              min={1}
              max={2000}
              decimals={0}
              onCommit={(v) => ask({ ...question, servings: Math.round(v) })}
              width={110}
            />
            <QuantityField
              label={say('common.aGlass')}
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
            <Box>{say('wishControls.comeOut', { litresNow: litres(litresNow) })}</Box>
            <Choice
              label={say('wishControls.fillsOfThePot')}
              value={String(plan.fills === 'asNeeded' ? 1 : plan.fills)}
              options={['1', '2', '3'].map((v) => ({ value: v, text: v }))}
              onChange={(v) => onChange({ ...plan, fills: Number(v) })}
            />
          </>
        )}
        {question.kind === 'useUp' && (
          <UseUp question={question} recipe={recipe} tables={tables} litresNow={litresNow} onAsk={ask} />
        )}
      </Box>
    </Box>
  );
}

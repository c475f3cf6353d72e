import '../../../../words/places/batch.ts';
import type { Kitchen, PlanDoc, Recipe } from '@big-ladle/core/documents';
import { type Question, usableLines } from '@big-ladle/core/plan';
import { type IceInGlass, iceShare, type Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { Choice } from '../../../../shared/Choice.tsx';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { type MessageKey, say } from '../../../../words/say.ts';
import { UseUp } from './UseUp.tsx';

/** So many glasses, two for each of the people. */
const evenly = (servings: number): { people: number; servings: number } => {
  const people = Math.max(1, Math.floor(servings / 2));
  return { people, servings: servings < 2 ? servings : people * 2 };
};

/** A wish for another kind of question, starting from what the plan makes now. */
function askFor(kind: Question['kind'], litresNow: number, recipe: Recipe, kitchen: Kitchen): Question {
  switch (kind) {
    case 'litres':
      return { kind, litres: Math.round(litresNow * 10) / 10 };
    case 'servings':
      return {
        kind,
        servingMl: kitchen.servingMl,
        ...evenly(Math.max(1, Math.round((litresNow * 1000) / kitchen.servingMl))),
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
            {slider(question.litres, 1, most, 0.1, say('wishControls.amountInBottles'), (v) =>
              ask({ kind: 'litres', litres: v }),
            )}
            <QuantityField
              label={say('wishControls.amountInBottles')}
              value={question.litres}
              min={0.2}
              max={400}
              unit="L"
              onValue={(v) => ask({ kind: 'litres', litres: v })}
              testId="wish-litres"
            />
          </>
        )}
        {question.kind === 'servings' && <Guests question={question} onAsk={ask} />}
        {question.kind === 'potFull' && (
          <Choice
            label={say('wishControls.fillsOfThePot')}
            value={String(plan.fills === 'asNeeded' ? 1 : plan.fills)}
            options={['1', '2', '3'].map((v) => ({ value: v, text: v }))}
            onChange={(v) => onChange({ ...plan, fills: Number(v) })}
          />
        )}
        {question.kind === 'useUp' && (
          <UseUp question={question} recipe={recipe} tables={tables} litresNow={litresNow} onAsk={ask} />
        )}
      </Box>
    </Box>
  );
}

type Servings = Extract<Question, { kind: 'servings' }>;
const ICE = ['none', 'some', 'much'] as const satisfies readonly IceInGlass[];

/** For so many people, so many glasses each, with so much ice in them. */
function Guests({ question, onAsk }: { question: Servings; onAsk: (question: Servings) => void }) {
  const people = question.people ?? 1;
  const each = Math.max(1, Math.round(question.servings / people));
  const ask = (change: { people?: number; each?: number }) => {
    const next = { people, each, ...change };
    onAsk({ ...question, people: next.people, servings: Math.min(2000, next.people * next.each) });
  };
  return (
    <>
      <QuantityField
        label={say('wishControls.people')}
        value={people}
        min={1}
        max={500}
        decimals={0}
        onValue={(v) => ask({ people: Math.round(v) })}
        width={100}
        testId="people"
      />
      <QuantityField
        label={say('wishControls.glassesEach')}
        value={each}
        min={1}
        max={40}
        decimals={0}
        onValue={(v) => ask({ each: Math.round(v) })}
        width={130}
        testId="glasses-each"
      />
      <QuantityField
        label={say('common.aGlass')}
        value={question.servingMl}
        min={10}
        max={2000}
        decimals={0}
        unit="mL"
        onValue={(v) => onAsk({ ...question, servingMl: v })}
        width={130}
      />
      <Choice
        label={say('served.overIce')}
        value={ICE.find((i) => Math.abs(iceShare(i) - (question.iceShare ?? 0)) < 0.01) ?? 'none'}
        options={ICE.map((value) => ({ value, text: say(`wishControls.ice.${value}`) }))}
        onChange={(v) => onAsk({ ...question, iceShare: iceShare(v as IceInGlass) })}
      />
      <Box data-testid="glasses">{say('planPage.glasses', { servings: question.servings })}</Box>
    </>
  );
}

import '../../../../words/places/batch.ts';
import '../../../../words/places/steps.ts';
import { choicesUnder, METHODS, type MethodChoice, type Presets } from '@big-ladle/core/book';
import type { Choices, MethodId, PlanDoc, Recipe } from '@big-ladle/core/documents';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { Link } from 'react-router';
import { Choice } from '../../../../shared/Choice.tsx';
import { Explain } from '../../../../shared/Explain.tsx';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import type { StageId } from '../../../../shared/StageLine.tsx';
import { Panel } from '../../../../shared/ui.tsx';
import { role } from '../../../../theme/theme.ts';
import { sayItem, sayPart } from '../../../../words/names.ts';
import { num } from '../../../../words/numbers.ts';
import { eachMeasure, grams } from '../../../../words/quantities.ts';
import { sayRich } from '../../../../words/rich.ts';
import { percent, say } from '../../../../words/say.ts';
import { HouseSweetness } from './HouseSweetness.tsx';

export interface ChoosingProps {
  plan: PlanDoc;
  recipe: Recipe;
  choices: Choices;
  onChange: (plan: PlanDoc) => void;
  /** It is shown to be acid and comes out of one pot: it may be filled hot. */
  mayFillHot?: boolean;
}

/** What a cook may choose at a stage, each with what it costs. */
export function StageChoices({ stage, ...props }: ChoosingProps & { stage: StageId }) {
  const { plan, choices, onChange, mayFillHot = false } = props;
  const choose = (change: Partial<Choices>) => onChange({ ...plan, choices: { ...plan.choices, ...change } });
  switch (stage) {
    case 'wash':
      return (
        <Panel title={say('stageChoices.yourChoice')}>
          <Choice
            label={say('stageChoices.rinses')}
            value={String(choices.rinses)}
            options={['1', '2', '3', '4', '5', '6'].map((v) => ({ value: v, text: v }))}
            onChange={(v) => choose({ rinses: Number(v) })}
          />
          <Box sx={{ color: role('inkMuted'), mt: 1 }}>{say('stageChoices.oneQuickRinseOr')}</Box>
        </Panel>
      );
    case 'draw':
      return <DrawChoices {...props} choose={choose} />;
    case 'strain':
      return (
        <Panel title={say('stageChoices.yourChoice')}>
          <Box sx={{ display: 'grid', gap: 2 }}>
            <Choice
              label={say('stageChoices.theSolidsAre')}
              value={choices.press}
              options={[
                { value: 'drain', text: say('stageChoices.drained') },
                { value: 'press', text: say('stageChoices.pressed') },
                { value: 'wring', text: say('stageChoices.wrung') },
              ]}
              onChange={(v) => choose({ press: v as 'press' })}
            />
            {METHODS[choices.methodId].heats && (
              <Choice
                label={say('stageChoices.itCools')}
                value={choices.coolBy}
                options={[
                  { value: 'iceBath', text: say('stageChoices.inIceWater') },
                  { value: 'fridge', text: say('stageChoices.inTheFridge') },
                  { value: 'counter', text: say('stageChoices.onTheCounter') },
                  ...(mayFillHot || choices.coolBy === 'bottles'
                    ? [{ value: 'bottles', text: say('coolBy.bottles') }]
                    : []),
                ]}
                onChange={(v) => choose({ coolBy: v as 'iceBath' })}
              />
            )}
            {choices.coolBy === 'bottles' && (
              <Alert severity="warning" data-testid="fill-hot">
                {say('coolBy.bottles.about')}
              </Alert>
            )}
          </Box>
        </Panel>
      );
    case 'balance':
      return (
        <Panel title={say('stageChoices.howSweet')}>
          <SweetScale
            value={choices.targetSweetnessPct}
            onChange={(v) => choose({ targetSweetnessPct: v })}
          />
          <HouseSweetness
            recipePct={props.recipe.targetSweetnessPct}
            chosenPct={choices.targetSweetnessPct}
            onTake={(pct) => choose({ targetSweetnessPct: pct })}
          />
        </Panel>
      );
    case 'bottle':
      return (
        <Panel title={say('stageChoices.yourChoice')}>
          <Choice
            label={say('bottleForm.bottlesAre')}
            value={choices.hygiene}
            options={[
              { value: 'sterilised', text: say('stageChoices.sterilised') },
              { value: 'clean', text: say('stageChoices.clean') },
            ]}
            onChange={(v) => choose({ hygiene: v as 'clean' })}
          />
          <Box sx={{ color: role('inkMuted'), mt: 1 }}>{say('guide.bottle.sterilise')}</Box>
        </Panel>
      );
    case 'size':
    case 'keep':
      return null;
  }
}

/** Strength and heat as presets, where the recipe has lines that follow them. */
export function PresetChoices({
  plan,
  choices,
  onChange,
  leaf,
  presets,
}: ChoosingProps & { leaf: { itemId: string; gPerL: number } | null; presets: Presets }) {
  const each = eachMeasure();
  const choose = (change: Partial<Choices>) => onChange({ ...plan, choices: { ...plan.choices, ...change } });
  const strong = presets.strong.size > 0;
  const hot = presets.hot.size > 0;
  if (!strong && !hot) return null;
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mb: 1 }}>
      {strong && (
        <Choice
          label={say('stageChoices.strength')}
          value={choices.strength}
          options={(['light', 'full', 'dark'] as const).map((v) => ({
            value: v,
            text: say(`strength.${v}`),
          }))}
          onChange={(v) => choose({ strength: v as 'full' })}
        />
      )}
      {hot && (
        <Choice
          label={say('stageChoices.heat')}
          value={choices.heat}
          options={(['mild', 'medium', 'hot'] as const).map((v) => ({ value: v, text: say(`heat.${v}`) }))}
          onChange={(v) => choose({ heat: v as 'medium' })}
        />
      )}
      <Choice
        label={say('stageChoices.body')}
        value={choices.press}
        options={(['drain', 'press', 'wring'] as const).map((v) => ({ value: v, text: say(`body.${v}`) }))}
        onChange={(v) => choose({ press: v as 'press' })}
      />
      {leaf && (
        <Box sx={{ alignSelf: 'flex-end', color: role('inkMuted'), pb: 1 }} data-testid="leaf-per-litre">
          {say('stageChoices.perLitre', {
            mass: grams(leaf.gPerL * each.litres),
            each: say(`each.${each.name}`),
            item: sayItem(leaf.itemId).toLowerCase(),
          })}
        </Box>
      )}
    </Box>
  );
}

function DrawChoices({
  plan,
  recipe,
  choices,
  onChange,
  choose,
}: ChoosingProps & { choose: (change: Partial<Choices>) => void }) {
  const { methodId } = choices;
  const method = METHODS[methodId];
  const lets = (choice: MethodChoice): boolean => method.choices.includes(choice);
  const fruit = method.cooksFruit && recipe.lines.some((l) => l.stream === 'fruit');
  const place = (label: string, key: 'steepPlace' | 'soakPlace') => (
    <>
      <Choice
        label={label}
        value={choices[key]}
        options={[
          { value: 'fridge', text: say('stageChoices.cooledInTheFridge') },
          { value: 'counter', text: say('stageChoices.onTheCounter') },
        ]}
        onChange={(v) => choose({ [key]: v })}
      />
      {choices[key] === 'counter' && <Alert severity="warning">{say('guide.steep.counter')}</Alert>}
    </>
  );
  const minutes = (
    label: string,
    key: 'boilMin' | 'simmerMin' | 'secondBoilMin' | 'pourMin',
    max: number,
  ) => (
    <QuantityField
      label={label}
      value={choices[key]}
      min={1}
      max={max}
      decimals={0}
      unit="min"
      onValue={(v) => choose({ [key]: v })}
    />
  );
  const hours = (label: string, key: 'steepMin' | 'soakMin', max: number) => (
    <QuantityField
      label={label}
      value={choices[key] / 60}
      min={0.1}
      max={max}
      unit="h"
      onValue={(v) => choose({ [key]: Math.round(v * 60) })}
    />
  );
  return (
    <Panel title={say('stageChoices.yourChoice')}>
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Choice
          label={say('stageChoices.method')}
          value={methodId}
          options={recipe.methods.map((m) => ({ value: m, text: say(`method.${m}`) }))}
          onChange={(v) => onChange({ ...plan, choices: choicesUnder(recipe, v as MethodId, choices) })}
        />
        <Box sx={{ color: role('inkMuted') }}>{say(`method.${methodId}.why`)}</Box>
        {recipe.methods.length > 1 && (
          <Button
            component={Link}
            to={`/drinks/${recipe.id}/compare?methods=${[methodId, ...recipe.methods.filter((m) => m !== methodId)].slice(0, 3).join(',')}`}
            variant="outlined"
            sx={{ justifySelf: 'start' }}
          >
            {say('stageChoices.seeMethodsSideBy')}
          </Button>
        )}
        {fruit && (
          <Choice
            label={say('stageChoices.fruit')}
            value={choices.fruit}
            options={[
              { value: 'cooked', text: say('fruitWay.cooked') },
              { value: 'raw', text: say('fruitWay.raw') },
            ]}
            onChange={(v) => choose({ fruit: v as 'raw' })}
          />
        )}
        {(recipe.parts ?? []).map((part) => (
          <Choice
            key={part.id}
            label={sayPart(part.id)}
            value={choices.shelfParts.includes(part.id) ? 'shelf' : 'made'}
            options={[
              { value: 'made', text: say('stageChoices.madeWithIt') },
              { value: 'shelf', text: say('stageChoices.readyOnTheShelf') },
            ]}
            onChange={(v) =>
              choose({
                shelfParts:
                  v === 'shelf'
                    ? [...choices.shelfParts, part.id]
                    : choices.shelfParts.filter((id) => id !== part.id),
              })
            }
          />
        ))}
        {choices.shelfParts.length > 0 && (
          <Box sx={{ color: role('inkMuted') }}>{say('guide.part.shelf')}</Box>
        )}
        {lets('soakMin') && (
          <>
            {hours(say('stageChoices.hoursOfSoaking'), 'soakMin', 72)}
            {place(say('stageChoices.itSoaks'), 'soakPlace')}
          </>
        )}
        {lets('boilMin') && minutes(say('stageChoices.minutesAtTheBoil'), 'boilMin', 180)}
        {lets('lid') && (
          <Choice
            label={say('stageChoices.lidAtTheBoil')}
            value={choices.lid}
            options={[
              { value: 'off', text: say('stageChoices.off') },
              { value: 'ajar', text: say('stageChoices.ajar') },
              { value: 'on', text: say('stageChoices.on') },
            ]}
            onChange={(v) => choose({ lid: v as 'on' })}
          />
        )}
        {lets('simmerMin') && minutes(say('stageChoices.minutesAtASimmer'), 'simmerMin', 300)}
        {lets('pourMin') && minutes(say('stageChoices.minutesOnTheLeaves'), 'pourMin', 240)}
        {lets('secondBoilMin') && (
          <>
            {minutes(say('stageChoices.secondBoil'), 'secondBoilMin', 180)}
            <Box sx={{ px: 1.5 }}>
              <Box sx={{ color: role('inkMuted'), ml: -1.5 }}>
                {say('stageChoices.waterKeptForThe', { secondShare: percent(choices.secondShare) })}
              </Box>
              <Slider
                aria-label={say('stageChoices.shareOfTheWater')}
                value={choices.secondShare}
                min={0.1}
                max={0.6}
                step={0.05}
                onChange={(_, v) => choose({ secondShare: v as number })}
              />
            </Box>
          </>
        )}
        {lets('steepMin') && (
          <>
            {hours(say('stageChoices.hoursOfSteeping'), 'steepMin', 72)}
            {place(say('stageChoices.itSteeps'), 'steepPlace')}
          </>
        )}
        {lets('matureMin') && (
          <QuantityField
            label={say('stageChoices.daysToMature')}
            value={choices.matureMin / 1440}
            min={0}
            max={60}
            decimals={0}
            unit={say('common.days')}
            onValue={(v) => choose({ matureMin: Math.round(v * 1440) })}
          />
        )}
      </Box>
    </Panel>
  );
}

const SCALE = [
  { value: 0, label: 'stageChoices.plain' },
  { value: 5, label: 'stageChoices.light' },
  { value: 9, label: 'stageChoices.medium' },
  { value: 13, label: 'stageChoices.sweet' },
] as const;

/** A plain scale of sweetness, g of sugar or its equal in 100 g. */
function SweetScale(props: { value: number; onChange: (value: number) => void }) {
  return (
    <Box sx={{ px: 1.5 }}>
      <Slider
        aria-label={say('stageChoices.sweetnessAimedAtGrams')}
        value={props.value}
        min={0}
        max={16}
        step={0.5}
        marks={SCALE.map((m) => ({ ...m, label: say(m.label) }))}
        valueLabelDisplay="off"
        onChange={(_, value) => props.onChange(value as number)}
        sx={{ mb: 3 }}
      />
      <Box>
        {sayRich('stageChoices.aimAtInG', {
          sugar: <strong>{num(props.value, 1)} g</strong>,
          brix: <Explain term="brix">{`${num(props.value, 1)} °Bx`}</Explain>,
        })}
      </Box>
    </Box>
  );
}

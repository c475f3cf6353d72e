import '../../words/places/drinks.ts';
import { type CustomFacts, OWN_KINDS, type OwnKind } from '@big-ladle/core/documents';
import { ASKED_TRAITS, type AskedTrait, type TraitAnswers } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Choice } from '../../shared/Choice.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { sayError, useSend } from '../../shared/send.ts';
import { role } from '../../theme/theme.ts';
import { type MessageKey, say } from '../../words/say.ts';

const ROLES: { value: CustomFacts['role']; text: MessageKey }[] = [
  { value: 'botanical', text: 'newIngredient.aFlowerBarkOr' },
  { value: 'herb', text: 'newIngredient.aTenderHerb' },
  { value: 'spice', text: 'newIngredient.aSpice' },
  { value: 'aromatic', text: 'newIngredient.aRootOrBulb' },
  { value: 'peel', text: 'newIngredient.aPeel' },
  { value: 'fruit', text: 'newIngredient.aFruit' },
  { value: 'citrus', text: 'newIngredient.aCitrusFruit' },
  { value: 'souring', text: 'newIngredient.somethingSour' },
  { value: 'other', text: 'newIngredient.somethingElse' },
];

/** What must be known of an ingredient that the tables do not have; everything else is taken on the safe side. */
export function NewIngredient(props: {
  name: string;
  onMade: (facts: CustomFacts) => void;
  onCancel: () => void;
}) {
  const [name, setName] = useState(props.name.replace(/^\w/, (c) => c.toUpperCase()));
  const [sort, setSort] = useState<OwnKind>('plant');
  const [kind, setKind] = useState<CustomFacts['role']>('botanical');
  const [figures, setFigures] = useState<Pick<CustomFacts, 'sugarPer100' | 'sourGPerL' | 'abvPct'>>({});
  const [made, setMade] = useState('bought');
  const plant = sort === 'plant' || sort === 'powder';
  const drink = sort === 'drink' || sort === 'milk';
  const [dried, setDried] = useState('dried');
  const [answers, setAnswers] = useState<TraitAnswers>({});
  const put = useSend('putIngredient');
  const problem = sayError(put.error, say('newIngredient.theKitchenServerDoes'));
  const make = () => {
    const id = `own-${uuid()}`;
    put.mutate(
      {
        params: { id },
        body: {
          id,
          name: name.trim(),
          role: plant ? kind : 'other',
          dried: sort === 'powder' || (!drink && dried === 'dried'),
          kind: sort,
          ...(plant ? {} : figures),
          ...(sort === 'drink' ? { raw: made === 'raw' } : {}),
          answers,
        },
      },
      { onSuccess: props.onMade },
    );
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }} data-testid="new-ingredient">
      <Box>{say('newIngredient.tellWhatItIs')}</Box>
      <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <TextField
          label={say('common.itsName')}
          value={name}
          onChange={(e) => setName(e.target.value)}
          error={problem !== null}
          helperText={problem}
        />
        <TextField
          select
          label={say('newIngredient.sort')}
          value={sort}
          onChange={(e) => setSort(e.target.value as OwnKind)}
          sx={{ minWidth: 150 }}
        >
          {OWN_KINDS.map((id) => (
            <MenuItem key={id} value={id}>
              {say(`newIngredient.sort.${id}`)}
            </MenuItem>
          ))}
        </TextField>
        {plant && (
          <TextField
            select
            label={say('common.itIs')}
            value={kind}
            onChange={(e) => setKind(e.target.value as CustomFacts['role'])}
            sx={{ minWidth: 220 }}
          >
            {ROLES.map((r) => (
              <MenuItem key={r.value} value={r.value}>
                {say(r.text)}
              </MenuItem>
            ))}
          </TextField>
        )}
        {(sort === 'plant' || sort === 'sweetener') && (
          <Choice
            label={say('newIngredient.asItGoesIn')}
            value={dried}
            options={[
              { value: 'dried', text: say('newIngredient.dried') },
              { value: 'fresh', text: say('newIngredient.fresh') },
            ]}
            onChange={setDried}
          />
        )}
      </Box>
      {!plant && (
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'flex-end' }}>
          <QuantityField
            label={say('newIngredient.sugar', { drink })}
            value={figures.sugarPer100 ?? null}
            min={0}
            max={100}
            unit="g"
            fixedUnit
            width={170}
            onValue={(sugarPer100) => setFigures({ ...figures, sugarPer100 })}
          />
          {drink && (
            <QuantityField
              label={say('newIngredient.sourness')}
              value={figures.sourGPerL ?? null}
              min={0}
              max={100}
              unit="g/L"
              width={200}
              onValue={(sourGPerL) => setFigures({ ...figures, sourGPerL })}
            />
          )}
          {sort === 'drink' && (
            <>
              <QuantityField
                label={say('newIngredient.alcohol')}
                value={figures.abvPct ?? null}
                min={0}
                max={96}
                unit="%"
                width={130}
                onValue={(abvPct) => setFigures({ ...figures, abvPct })}
              />
              <Choice
                label={say('newIngredient.madeHow')}
                value={made}
                options={[
                  { value: 'bought', text: say('newIngredient.bought') },
                  { value: 'raw', text: say('newIngredient.raw') },
                ]}
                onChange={setMade}
              />
            </>
          )}
        </Box>
      )}
      <Questions answers={answers} onAnswers={setAnswers} />
      <Box sx={{ color: role('inkMuted') }}>{say('ask.unknown')}</Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" disabled={!name.trim()} onClick={() => void make()}>
          {say('common.takeIt')}
        </Button>
        <Button onClick={props.onCancel}>{say('common.leaveIt')}</Button>
      </Box>
    </Box>
  );
}

/** What decides how long its drinks keep, and who must be told: one line each, and one tap for "none of the rest". */
function Questions(props: { answers: TraitAnswers; onAnswers: (answers: TraitAnswers) => void }) {
  const { answers, onAnswers } = props;
  const open = ASKED_TRAITS.filter((trait) => answers[trait] === undefined);
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }} data-testid="trait-questions">
      {ASKED_TRAITS.map((trait) => (
        <Box
          key={trait}
          role="group"
          aria-label={say(`ask.${trait}`)}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}
        >
          <Box sx={{ flex: '1 1 180px' }}>{say(`ask.${trait}`)}</Box>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={answers[trait] === undefined ? 'unknown' : answers[trait] ? 'yes' : 'no'}
            onChange={(_, value: string | null) => {
              if (value) onAnswers(answered(answers, trait, value));
            }}
          >
            <ToggleButton value="no">{say('newIngredient.no')}</ToggleButton>
            <ToggleButton value="yes">{say('newIngredient.yes')}</ToggleButton>
            <ToggleButton value="unknown">{say('newIngredient.notKnown')}</ToggleButton>
          </ToggleButtonGroup>
        </Box>
      ))}
      <Button
        variant="outlined"
        disabled={open.length === 0}
        sx={{ justifySelf: 'start' }}
        onClick={() => onAnswers({ ...answers, ...Object.fromEntries(open.map((trait) => [trait, false])) })}
      >
        {say('ask.none')}
      </Button>
    </Box>
  );
}

/** What is not known is left out: it counts as yes. */
function answered(answers: TraitAnswers, question: AskedTrait, value: string): TraitAnswers {
  const { [question]: _, ...others } = answers;
  return value === 'unknown' ? others : { ...others, [question]: value === 'yes' };
}

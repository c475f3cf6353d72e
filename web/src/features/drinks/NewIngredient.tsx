import { type CustomFacts, KEEPING_QUESTIONS } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { ApiError, call } from '../../shared/api.ts';
import { refreshBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';

const ROLES: { value: CustomFacts['role']; text: string }[] = [
  { value: 'botanical', text: 'a flower, bark or leaf for tea' },
  { value: 'herb', text: 'a tender herb' },
  { value: 'spice', text: 'a spice' },
  { value: 'aromatic', text: 'a root or bulb' },
  { value: 'peel', text: 'a peel' },
  { value: 'fruit', text: 'a fruit' },
  { value: 'citrus', text: 'a citrus fruit' },
  { value: 'souring', text: 'something sour' },
  { value: 'other', text: 'something else' },
];

/** What must be known of an ingredient that the tables do not have; everything else is taken on the safe side. */
export function NewIngredient(props: {
  name: string;
  onMade: (facts: CustomFacts) => void;
  onCancel: () => void;
}) {
  const [name, setName] = useState(props.name.replace(/^\w/, (c) => c.toUpperCase()));
  const [kind, setKind] = useState<CustomFacts['role']>('botanical');
  const [dried, setDried] = useState('dried');
  const [answers, setAnswers] = useState<Answers>({});
  const [problem, setProblem] = useState<string | null>(null);
  const make = async () => {
    const id = `own-${uuid()}`;
    try {
      const facts = await call<CustomFacts>('PUT', `/ingredients/${id}`, {
        id,
        name: name.trim(),
        role: kind,
        dried: dried === 'dried',
        keeping: answers,
      });
      await refreshBook();
      props.onMade(facts);
    } catch (error) {
      setProblem(error instanceof ApiError ? error.detail : 'The kitchen server does not answer. Try again.');
    }
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }} data-testid="new-ingredient">
      <Box>
        Tell what it is. Until you know more, no strength and no acid are counted for it, and it is taken to
        foam: the safe side.
      </Box>
      <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <TextField
          label="Its name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          error={problem !== null}
          helperText={problem}
        />
        <TextField
          select
          label="It is"
          value={kind}
          onChange={(e) => setKind(e.target.value as CustomFacts['role'])}
          sx={{ minWidth: 220 }}
        >
          {ROLES.map((r) => (
            <MenuItem key={r.value} value={r.value}>
              {r.text}
            </MenuItem>
          ))}
        </TextField>
        <Choice
          label="As it goes in"
          value={dried}
          options={[
            { value: 'dried', text: 'dried' },
            { value: 'fresh', text: 'fresh' },
          ]}
          onChange={setDried}
        />
      </Box>
      <Box
        sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'flex-end' }}
        data-testid="keeping-questions"
      >
        {KEEPING_QUESTIONS.map((question) => (
          <Choice
            key={question}
            label={say(`ask.${question}`)}
            value={answers[question] === undefined ? 'unknown' : answers[question] ? 'yes' : 'no'}
            options={[
              { value: 'no', text: 'no' },
              { value: 'yes', text: 'yes' },
              { value: 'unknown', text: 'I do not know' },
            ]}
            onChange={(v) => setAnswers(answered(answers, question, v))}
          />
        ))}
      </Box>
      <Box sx={{ color: role('inkMuted') }}>{say('ask.unknown')}</Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" disabled={!name.trim()} onClick={() => void make()}>
          Take it
        </Button>
        <Button onClick={props.onCancel}>Leave it</Button>
      </Box>
    </Box>
  );
}

type Answers = NonNullable<CustomFacts['keeping']>;

/** What is not known is left out: it counts as yes. */
function answered(answers: Answers, question: keyof Answers, value: string): Answers {
  const { [question]: _, ...others } = answers;
  return value === 'unknown' ? others : { ...others, [question]: value === 'yes' };
}

import '../../../../words/places/batch.ts';
import { type HeldUnit, heldUnits } from '@big-ladle/core/compare';
import type { Recipe } from '@big-ladle/core/documents';
import { type Question, usableLines } from '@big-ladle/core/plan';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { sayItem } from '../../../../words/names.ts';
import { grams, litres } from '../../../../words/quantities.ts';
import { say, sayCode } from '../../../../words/say.ts';

type UseUpQuestion = Extract<Question, { kind: 'useUp' }>;

const unitText = ({ unit, pieceId }: HeldUnit): string =>
  unit === 'piece' ? sayCode(`piece.${pieceId}`, { count: 2 }) : say(`held.${unit}`);

/** What is in the house and is to be used up: which of the lines, and how much of it, counted as the cook counts it. */
export function UseUp(props: {
  question: UseUpQuestion;
  recipe: Recipe;
  tables: Tables;
  litresNow: number;
  onAsk: (question: UseUpQuestion) => void;
}) {
  const { question, recipe, tables, litresNow, onAsk } = props;
  const [unit, setUnit] = useState<HeldUnit['unit']>('gram');
  const line = recipe.lines.find((l) => l.id === question.lineId);
  const units = line ? heldUnits(line.itemId, tables) : [];
  const held = units.find((u) => u.unit === unit) ?? units[0];
  if (!held) return null;
  return (
    <>
      <TextField
        select
        label={say('useUp.allOfThe')}
        value={question.lineId}
        onChange={(e) => {
          const next = usableLines(recipe).find((l) => l.id === e.target.value);
          if (next)
            onAsk({
              kind: 'useUp',
              lineId: next.id,
              massG: Math.max(1, Math.round(((next.massG || 100) * litresNow) / recipe.basisL)),
            });
        }}
        sx={{ minWidth: 190 }}
      >
        {usableLines(recipe).map((l) => (
          <MenuItem key={l.id} value={l.id}>
            {sayItem(l.itemId)}
          </MenuItem>
        ))}
      </TextField>
      <QuantityField
        label={say('useUp.iHave')}
        value={Math.round((question.massG / held.gramsEach) * 100) / 100}
        min={0.1}
        max={100_000}
        decimals={held.unit === 'gram' || held.unit === 'millilitre' ? 0 : 2}
        onValue={(count) => onAsk({ ...question, massG: count * held.gramsEach })}
        testId="use-up-amount"
      />
      <TextField
        select
        label={say('useUp.in')}
        value={held.unit}
        onChange={(e) => setUnit(e.target.value as HeldUnit['unit'])}
        sx={{ minWidth: 110 }}
      >
        {units.map((u) => (
          <MenuItem key={u.unit} value={u.unit}>
            {unitText(u)}
          </MenuItem>
        ))}
      </TextField>
      <Box>{say('useUp.make', { mass: grams(question.massG), litresNow: litres(litresNow) })}</Box>
    </>
  );
}

import '../words/places/batch.ts';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { sayItem } from '../words/names.ts';
import { say } from '../words/say.ts';
import { useKitchen } from './queries.ts';
import { saveKitchen } from './saveKitchen.ts';

/** What this cook thinks of something that sweetens: kept for every drink, wherever it is chosen again. */
export function OwnVerdict({ itemId }: { itemId: string }) {
  const { data } = useKitchen();
  if (!data) return null;
  const { verdicts } = data.kitchen;
  const words = verdicts.find((verdict) => verdict.itemId === itemId)?.words ?? '';
  const others = verdicts.filter((verdict) => verdict.itemId !== itemId);
  return (
    <Field
      key={`${itemId}:${words}`}
      label={say('ownVerdict.of', { item: sayItem(itemId).toLowerCase() })}
      words={words}
      onKeep={(next) =>
        void saveKitchen({ verdicts: next === '' ? others : [...others, { itemId, words: next }] })
      }
    />
  );
}

/** Kept when the field is left. */
function Field(props: { label: string; words: string; onKeep: (words: string) => void }) {
  const { label, words, onKeep } = props;
  const [text, setText] = useState(words);
  return (
    <TextField
      label={label}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={() => text.trim() !== words && onKeep(text.trim())}
      multiline
      fullWidth
      sx={{ mt: 1.5 }}
      slotProps={{
        htmlInput: { maxLength: 300, 'data-testid': 'own-verdict' },
        inputLabel: { shrink: true },
      }}
    />
  );
}

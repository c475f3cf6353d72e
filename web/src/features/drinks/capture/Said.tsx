import '../../../words/places/drinks.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { say } from '../../../words/say.ts';

/** Words of whoever cooks, typed while they are said. */
export function Said({ onSaid }: { onSaid: (text: string) => void }) {
  const [text, setText] = useState('');
  const said = text.trim();
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <TextField
        label={say('capturePage.said')}
        helperText={say('capturePage.saidHow')}
        value={text}
        slotProps={{ htmlInput: { maxLength: 600 } }}
        onChange={(e) => setText(e.target.value)}
      />
      <Button
        variant="outlined"
        sx={{ minHeight: 56 }}
        disabled={!said}
        onClick={() => {
          onSaid(said);
          setText('');
        }}
      >
        {say('capturePage.writeItDown')}
      </Button>
    </Box>
  );
}

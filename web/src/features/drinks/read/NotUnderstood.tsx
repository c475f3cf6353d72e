import '../../../words/places/drinks.ts';
import { type ReadingKit, type ReadLine, readText } from '@big-ladle/core/exchange';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { grams } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { MARK_STYLES } from './marks.ts';

/** Words that nobody understood: each is put in by hand as an ingredient, or left out. */
export function NotUnderstood(props: {
  words: readonly string[];
  tables: Tables;
  kit: ReadingKit;
  onAdd: (line: ReadLine, words: string) => void;
  onLeave: (words: string) => void;
}) {
  const { words, tables, kit, onAdd, onLeave } = props;
  const [asked, setAsked] = useState<string | null>(null);
  if (!words.length) return null;
  return (
    <Panel title={say('readPage.notUnderstoodHead')} testId="not-understood">
      {words.map((w) => (
        <Box key={w} sx={{ py: 0.75 }}>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }} data-testid="lost">
            <Box component="span" sx={{ ...MARK_STYLES.notUnderstood, overflowWrap: 'anywhere' }}>
              {w}
            </Box>
            <Button size="small" variant="outlined" onClick={() => setAsked(asked === w ? null : w)}>
              {say('readPage.putItIn')}
            </Button>
            <Button size="small" onClick={() => onLeave(w)}>
              {say('pastePage.leaveItOut')}
            </Button>
          </Box>
          {asked === w && (
            <ByHand
              words={w}
              tables={tables}
              kit={kit}
              onAdd={(line) => {
                onAdd(line, w);
                setAsked(null);
              }}
            />
          )}
        </Box>
      ))}
    </Panel>
  );
}

/** "200 g honey": said anew in other words, and shown as it is understood before it is taken. */
function ByHand(props: { words: string; tables: Tables; kit: ReadingKit; onAdd: (line: ReadLine) => void }) {
  const { words, tables, kit, onAdd } = props;
  const [text, setText] = useState('');
  const read = text.trim()
    ? readText(`${say('readPage.ingredients')}\n${text}`, tables, kit).drinks[0]?.lines[0]
    : undefined;
  const known = read?.itemId ? read : undefined;
  return (
    <Box
      component="form"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        if (known) onAdd({ ...known, id: `own-${uuid()}`, words, doubts: [], stepIds: [], shares: [] });
      }}
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mt: 0.75 }}
    >
      <TextField
        label={say('readPage.inOtherWords')}
        value={text}
        onChange={(e) => setText(e.target.value)}
        sx={{ flex: '1 1 220px' }}
      />
      <Button type="submit" variant="outlined" disabled={!known}>
        {say('addLine.add')}
      </Button>
      <Box sx={{ color: role('inkMuted'), fontSize: '0.92rem' }} role="status">
        {known && (
          <>
            {sayItem(known.itemId!)}
            {known.massG && <>, {grams(known.massG.likely)}</>}
          </>
        )}
      </Box>
    </Box>
  );
}

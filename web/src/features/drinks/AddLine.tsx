import '../../words/places/drinks.ts';
import type { CustomFacts, Kitchen, RecipeLine } from '@big-ladle/core/documents';
import { itemFacts, readText } from '@big-ladle/core/exchange';
import { measuringKit } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { grams } from '../../words/quantities.ts';
import { say, sayCode } from '../../words/say.ts';
import { NewIngredient } from './NewIngredient.tsx';

/** In which of the tables an item of the cook's own stands. */
const lineKindOf = ({ kind }: CustomFacts): RecipeLine['kind'] =>
  kind === 'drink' || kind === 'milk' ? 'liquid' : kind === 'sweetener' ? 'sweetener' : 'solid';

/** One ingredient, typed as it is said: "2 cups dried hibiscus". What was understood is shown before it is taken. */
export function AddLine(props: { kitchen: Kitchen; tables: Tables; onAdd: (line: RecipeLine) => void }) {
  const { kitchen, tables, onAdd } = props;
  const [text, setText] = useState('');
  const [unknown, setUnknown] = useState<string | null>(null);
  const read = text.trim()
    ? readText(say('addLine.ingredients', { text }), tables, {
        ...measuringKit(kitchen),
        system: kitchen.units,
      }).drinks[0]?.lines[0]
    : undefined;
  const kind = read?.itemId ? (itemFacts(read.itemId, tables)?.kind ?? 'solid') : 'solid';
  const massG = read?.massG?.likely ?? 0;
  const add = (itemId: string, kind: RecipeLine['kind'], massG: number) => {
    onAdd({
      id: uuid(),
      kind,
      itemId,
      massG: kind === 'sweetener' ? 0 : massG,
      rule: kind === 'sweetener' ? { kind: 'toTarget' } : { kind: 'linear' },
      stream: kind === 'sweetener' ? 'sweet' : kind === 'liquid' ? 'after' : 'pot',
      wash: 'none',
      prep: null,
    });
    setText('');
    setUnknown(null);
  };
  return (
    <Box
      component="form"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        if (read?.itemId) add(read.itemId, kind, massG);
        else if (read) setUnknown(read.name || text);
      }}
      sx={{ display: 'grid', gap: 0.75 }}
    >
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField
          label={say('addLine.addAnIngredientAs')}
          placeholder={say('addLine.cupsDriedHibiscus')}
          value={text}
          onChange={(e) => setText(e.target.value)}
          fullWidth
          slotProps={{ htmlInput: { 'data-testid': 'add-line' } }}
        />
        <Button type="submit" variant="outlined" disabled={!read} sx={{ flexShrink: 0 }}>
          {say('addLine.add')}
        </Button>
      </Box>
      {read && (
        <Box sx={{ color: role('inkMuted'), fontSize: '0.92rem' }} role="status">
          {read.itemId ? (
            <>
              {sayItem(read.itemId)}
              {kind === 'sweetener'
                ? say('common.byTaste')
                : `, ${read.massG === null ? say('addLine.noAmountYet') : grams(read.massG.likely)}`}
              {read.doubts.length > 0 && <> · {read.doubts.map((d) => say(`doubt.${d}`)).join(' ')}</>}
              {read.falseFriend && <> {sayCode(`friend.${read.falseFriend}`)}</>}
            </>
          ) : (
            say('addLine.nothingHereIsCalled', { unknownName: read.name })
          )}
        </Box>
      )}
      {unknown !== null && (
        <Alert severity="info" icon={false}>
          <NewIngredient
            name={unknown}
            onMade={(facts: CustomFacts) => add(facts.id, lineKindOf(facts), massG)}
            onCancel={() => setUnknown(null)}
          />
        </Alert>
      )}
    </Box>
  );
}

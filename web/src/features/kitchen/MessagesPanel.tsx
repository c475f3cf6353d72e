import '../../words/places/kitchen.ts';
import { type Kitchen, MESSAGE_KINDS, type MessageKind } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import type { SaveKitchen } from '../../shared/saveKitchen.ts';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import '../../words/places/items.ts';

/** Who would be told what. Messages are simulated: nothing leaves the machine. */
export function MessagesPanel({ kitchen, save }: { kitchen: Kitchen; save: SaveKitchen }) {
  const people = kitchen.messageTo ?? [];
  const [name, setName] = useState('');
  const toggle = (id: string, kind: MessageKind) =>
    void save((k) => ({
      messageTo: (k.messageTo ?? []).map((p) =>
        p.id !== id
          ? p
          : {
              ...p,
              kinds: p.kinds.includes(kind) ? p.kinds.filter((o) => o !== kind) : [...p.kinds, kind],
            },
      ),
    }));
  return (
    <Panel
      title={say('messagesPanel.whoWouldBeTold')}
      aside={<Link to="/shelf?view=reminders">{say('messagesPanel.whatWouldBeSent')}</Link>}
    >
      <Box sx={{ color: role('inkMuted') }}>{say('messagesPanel.aStandInFor')}</Box>
      {people.map((p) => (
        <Box key={p.id} data-testid="told" sx={{ py: 1.25, borderBottom: `1px solid ${role('hairline')}` }}>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
            <strong>{p.name}</strong>
            <Button
              size="small"
              sx={{ ml: 'auto' }}
              aria-label={say('messagesPanel.doNotTell', { name: p.name })}
              onClick={() =>
                void save((k) => ({ messageTo: (k.messageTo ?? []).filter((o) => o.id !== p.id) }))
              }
            >
              {say('messagesPanel.takeOut')}
            </Button>
          </Box>
          <Box
            sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', mt: 0.5 }}
            role="group"
            aria-label={say('messagesPanel.whatWouldBeTold', { name: p.name })}
          >
            {MESSAGE_KINDS.map((kind) => (
              <Button
                key={kind}
                size="small"
                variant={p.kinds.includes(kind) ? 'contained' : 'outlined'}
                color={p.kinds.includes(kind) ? 'primary' : 'inherit'}
                aria-pressed={p.kinds.includes(kind)}
                onClick={() => toggle(p.id, kind)}
              >
                {say(`remind.${kind}`)}
              </Button>
            ))}
          </Box>
        </Box>
      ))}
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}
        onSubmit={(event: React.FormEvent) => {
          event.preventDefault();
          if (!name.trim()) return;
          void save((k) => ({
            messageTo: [
              ...(k.messageTo ?? []),
              { id: uuid(), name: name.trim(), kinds: ['due', 'vent', 'warm'] as MessageKind[] },
            ],
          })).then((done) => done && setName(''));
        }}
      >
        <TextField
          label={say('messagesPanel.aName')}
          value={name}
          onChange={(e) => setName(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <Button type="submit" variant="outlined" disabled={!name.trim()}>
          {say('messagesPanel.tellThemToo')}
        </Button>
      </Box>
    </Panel>
  );
}

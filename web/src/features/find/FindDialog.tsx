import '../../words/places/pages.ts';
import '../../words/places/find.ts';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { finder } from '../../shared/findName.ts';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { useFindable } from './useFindable.ts';

/** So many are shown. */
const SHOWN = 12;

/** One search over everything, by any name, forgiving a slip. */
export function FindDialog({ onClose }: { onClose: () => void }) {
  const [text, setText] = useState('');
  const navigate = useNavigate();
  const things = useFindable();
  const find = useMemo(() => finder(things), [things]);
  const found = find(text).slice(0, SHOWN);
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      slotProps={{
        paper: {
          'aria-label': say('find.title'),
          sx: { alignSelf: 'flex-start', borderTop: `5px solid ${role('rim')}` },
        },
      }}
    >
      <Box
        component="form"
        sx={{ p: 2 }}
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          const [first] = found;
          if (!first) return;
          onClose();
          navigate(first.to);
        }}
      >
        <TextField
          autoFocus
          fullWidth
          type="search"
          label={say('find.label')}
          value={text}
          onChange={(e) => setText(e.target.value)}
          slotProps={{ htmlInput: { 'data-testid': 'find-text' } }}
        />
        <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }} aria-label={say('find.found')}>
          {found.map((f) => (
            <Box component="li" key={f.kind + f.key} sx={{ borderBottom: `1px solid ${role('hairline')}` }}>
              <Box
                component={Link}
                to={f.to}
                onClick={onClose}
                sx={{
                  display: 'flex',
                  gap: 1.5,
                  alignItems: 'baseline',
                  py: 1,
                  minHeight: 44,
                  color: role('ink'),
                }}
              >
                <Box component="span" sx={{ minWidth: 86, color: role('inkMuted'), fontSize: '0.9rem' }}>
                  {say(`find.kind.${f.kind}`)}
                </Box>
                <strong>{f.text}</strong>
                <Box component="span" sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                  {f.beside}
                </Box>
              </Box>
            </Box>
          ))}
        </Box>
        <Box role="status" sx={{ mt: 1, color: role('inkMuted') }}>
          {text.trim().length < 2 ? say('find.hint') : found.length === 0 ? say('find.none') : ''}
        </Box>
      </Box>
    </Dialog>
  );
}

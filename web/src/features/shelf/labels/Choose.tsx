import '../../../words/places/shelf.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import type { Choosable } from './useChoosable.ts';

/** Which of them get one. */
export function Choose(props: {
  all: readonly Choosable[];
  ids: readonly string[];
  onIds: (ids: readonly string[]) => void;
}) {
  const { all, ids, onIds } = props;
  return (
    <Panel title={say('labelsPage.forWhich')}>
      <Box sx={{ display: 'flex', gap: 1, mb: 0.5 }}>
        <Button size="small" onClick={() => onIds(all.filter((c) => !c.over).map((c) => c.id))}>
          {say('labelsPage.all')}
        </Button>
        <Button size="small" onClick={() => onIds([])}>
          {say('labelsPage.none')}
        </Button>
      </Box>
      <Box sx={{ maxHeight: 320, overflow: 'auto', display: 'grid' }}>
        {all.map((c) => (
          <FormControlLabel
            key={c.id}
            control={
              <Checkbox
                checked={ids.includes(c.id) && !c.over}
                disabled={c.over}
                onChange={(_, on) => onIds(on ? [...ids, c.id] : ids.filter((id) => id !== c.id))}
              />
            }
            label={
              <>
                {c.title}
                <Box component="span" sx={{ color: role('inkMuted') }}>
                  {' '}
                  {c.note}
                </Box>
              </>
            }
          />
        ))}
      </Box>
    </Panel>
  );
}

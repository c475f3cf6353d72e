import { goesWith } from '@big-ladle/core/compare';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { sayItem } from '../words/names.ts';
import { say } from '../words/say.ts';

/** What goes with each of these: which vinegar or juice, which sweetener, which flavours. To be tried on a cup. */
export function GoesWellWith({ itemIds, tables }: { itemIds: readonly string[]; tables: Tables }) {
  const rows = itemIds.flatMap((id) => {
    const found = goesWith(id, tables);
    return found ? [{ id, ...found }] : [];
  });
  if (rows.length === 0) return null;
  const list = (ids: readonly string[]) => ids.map((id) => sayItem(id).toLowerCase()).join(', ');
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.5 }} data-testid="goes-with">
      {rows.map((row) => (
        <li key={row.id}>
          <strong>{sayItem(row.id)}</strong>:{' '}
          {[
            row.sour.length > 0 && say('goesWith.sour', { list: list(row.sour) }),
            row.sweet.length > 0 && say('goesWith.sweet', { list: list(row.sweet) }),
            row.flavour.length > 0 && say('goesWith.flavour', { list: list(row.flavour) }),
          ]
            .filter(Boolean)
            .join('; ')}
        </li>
      ))}
    </Box>
  );
}

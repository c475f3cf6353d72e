import '../../../words/places/batch.ts';
import { isWater } from '@big-ladle/core/program';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link } from 'react-router';
import { Fold } from '../../../shared/Fold.tsx';
import { usePurchases } from '../../../shared/purchases.ts';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** From which packet or purchase each thing came, so that it can be found again from there. */
export function MadeFrom({ live }: { live: LiveBatch }) {
  const { data } = usePurchases();
  const { purchases } = live.now.log;
  const itemIds = [
    ...new Set(live.program.lines.map((l) => l.itemId).filter((id) => !isWater(live.tables, id))),
  ];
  const named = (itemId: string) => [
    ...new Set(purchases.filter((p) => p.body.itemId === itemId).map((p) => p.body.purchase)),
  ];
  const known = (itemId: string) =>
    (data?.purchases ?? []).filter((p) => p.itemId === itemId).map((p) => p.purchase);
  return (
    <Panel testId="made-from">
      <Fold summary={say('madeFrom.title', { count: purchases.length })}>
        <Box sx={{ color: role('inkMuted'), mb: 1 }}>{say('madeFrom.why')}</Box>
        {itemIds.map((itemId) => (
          <Box key={itemId} sx={{ mb: 1.25 }}>
            <Name
              label={sayItem(itemId)}
              options={known(itemId).filter((p) => !named(itemId).includes(p))}
              onName={(purchase) => void live.record([{ kind: 'fromPurchase', body: { itemId, purchase } }])}
            />
            {named(itemId).map((purchase) => (
              <Box key={purchase} data-testid="purchase">
                <Link
                  to={`/shelf/recall?item=${encodeURIComponent(itemId)}&purchase=${encodeURIComponent(purchase)}`}
                >
                  {purchase}
                </Link>
              </Box>
            ))}
          </Box>
        ))}
      </Fold>
    </Panel>
  );
}

/** A name that was given before, or a new one. */
function Name(props: { label: string; options: readonly string[]; onName: (purchase: string) => void }) {
  const { label, options, onName } = props;
  const [typed, setTyped] = useState('');
  return (
    <Autocomplete
      freeSolo
      size="small"
      options={[...options]}
      value={null}
      inputValue={typed}
      onInputChange={(_, text) => setTyped(text)}
      onChange={(_, value) => {
        const purchase = (value ?? '').trim().slice(0, 60);
        setTyped('');
        if (purchase) onName(purchase);
      }}
      sx={{ maxWidth: 420 }}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}

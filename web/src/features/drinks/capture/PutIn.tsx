import '../../../words/places/drinks.ts';
import { type CaptureEntry, itemFacts } from '@big-ladle/core/exchange';
import { FAMILY_ROWS, SHIPPED_TABLES, type Tables } from '@big-ladle/core/tables';
import Autocomplete, { createFilterOptions } from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Choice } from '../../../shared/Choice.tsx';
import { pickWords } from '../../../shared/pickWords.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { serverNow } from '../../../shared/time.ts';
import { sayItem } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import { NewIngredient } from '../NewIngredient.tsx';

const ITEMS = FAMILY_ROWS.flatMap((f) => f.forms.map((form) => form.itemId));
/** What stands for a thing that is not in the list. */
const SOMETHING_ELSE = '';

const byName = createFilterOptions<string>({ stringify: (id) => (id === SOMETHING_ELSE ? '' : sayItem(id)) });
/** Whatever is typed, what is not in the list can be said. */
const withSomethingElse: typeof byName = (options, state) => [
  ...byName(
    options.filter((id) => id !== SOMETHING_ELSE),
    state,
  ),
  SOMETHING_ELSE,
];

/** Something goes in: weighed before and after, counted, or by the jug. */
export function PutIn({ tables, onAdd }: { tables: Tables; onAdd: (entry: CaptureEntry) => void }) {
  const [itemId, setItemId] = useState<string | null>(null);
  const [way, setWay] = useState<'weighed' | 'counted' | 'poured'>('weighed');
  const [before, setBefore] = useState<number | null>(null);
  const [after, setAfter] = useState<number | null>(0);
  const [amount, setAmount] = useState<number | null>(null);
  const [asking, setAsking] = useState<string | null>(null);
  const own = (['ingredients', 'liquids', 'sweeteners'] as const).flatMap((table) =>
    [...tables[table].keys()].filter((id) => !SHIPPED_TABLES[table].has(id)),
  );
  const facts = itemId ? itemFacts(itemId, tables) : null;
  const ways = [
    { value: 'weighed', text: say('capturePage.weighed') },
    ...(facts?.kind === 'liquid' ? [{ value: 'poured', text: say('capturePage.byTheJug') }] : []),
    ...(facts?.measurable.piece ? [{ value: 'counted', text: say('capturePage.counted') }] : []),
  ];
  const shown = ways.some((w) => w.value === way) ? way : 'weighed';
  const wrong = shown === 'weighed' && before !== null && after !== null && after > before;
  const ready =
    itemId !== null &&
    (shown === 'weighed'
      ? before !== null && after !== null && !wrong && before > after
      : amount !== null && amount > 0);
  const add = () => {
    if (!itemId) return;
    const atMs = serverNow();
    if (shown === 'weighed' && before !== null && after !== null)
      onAdd({ kind: 'weighed', atMs, itemId, beforeG: before, afterG: after });
    if (shown === 'counted' && amount !== null) onAdd({ kind: 'counted', atMs, itemId, pieces: amount });
    if (shown === 'poured' && amount !== null) onAdd({ kind: 'poured', atMs, itemId, ml: amount });
    setItemId(null);
    setBefore(null);
    setAfter(0);
    setAmount(null);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Autocomplete
        {...pickWords()}
        options={[...ITEMS, ...own, SOMETHING_ELSE]}
        value={itemId}
        onChange={(_, v) => {
          if (v === SOMETHING_ELSE) setAsking('');
          else setItemId(v);
        }}
        getOptionLabel={(id) => (id === SOMETHING_ELSE ? say('capturePage.somethingElse') : sayItem(id))}
        filterOptions={withSomethingElse}
        renderInput={(params) => <TextField {...params} label={say('capturePage.what')} />}
      />
      {asking !== null && (
        <NewIngredient
          name={asking}
          onMade={(made) => {
            setItemId(made.id);
            setAsking(null);
          }}
          onCancel={() => setAsking(null)}
        />
      )}
      <Choice
        label={say('capturePage.howYouKnow')}
        value={shown}
        options={ways}
        onChange={(v) => setWay(v as 'weighed')}
      />
      {shown === 'weighed' ? (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          <QuantityField
            label={say('capturePage.before')}
            value={before}
            min={0}
            max={100_000}
            decimals={1}
            unit="g"
            onValue={setBefore}
          />
          <QuantityField
            label={say('capturePage.after')}
            value={after}
            min={0}
            max={100_000}
            decimals={1}
            unit="g"
            onValue={setAfter}
            problem={wrong ? say('capturePage.moreThanBefore') : undefined}
          />
        </Box>
      ) : (
        <QuantityField
          label={shown === 'counted' ? say('capturePage.howMany') : say('common.howMuch')}
          value={amount}
          min={0.1}
          max={100_000}
          decimals={1}
          unit={shown === 'counted' ? '' : 'mL'}
          onValue={setAmount}
        />
      )}
      <Button variant="contained" sx={{ minHeight: 56 }} disabled={!ready} onClick={add}>
        {say('common.itIsIn')}
      </Button>
    </Box>
  );
}

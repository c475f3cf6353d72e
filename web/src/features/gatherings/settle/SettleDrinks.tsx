import '../../../words/places/gatherings.ts';
import type { GatheringDoc, GatheringDrink, Kitchen } from '@big-ladle/core/documents';
import type { FeastDrink, FeastTimes, Sized } from '@big-ladle/core/gathering';
import { openingPlan } from '@big-ladle/core/plan';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import { memo } from 'react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useBoard } from '../../../shared/batch/state.ts';
import { usePlans } from '../../../shared/batchQueries.ts';
import { useBook } from '../../../shared/book.ts';
import type { GatheringChange } from '../../../shared/gatherings/gatherings.ts';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { notify } from '../../../shared/notices.ts';
import { pickWords } from '../../../shared/pickWords.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { tellError, useSend } from '../../../shared/send.ts';
import { useShelf } from '../../../shared/shelf.ts';
import { heading } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { OneOf } from './OneOf.tsx';
import { SettleRow } from './SettleRow.tsx';

const SHARES = [
  { value: 0.5, key: 'settle.share.less' },
  { value: 1, key: 'settle.share.usual' },
  { value: 2, key: 'settle.share.more' },
] as const;
const SERVED = ['cold', 'iced', 'warm'] as const;

/** What is served: drinks to be made, batches that are on or planned, bottles that stand there. */
export function SettleDrinks(props: {
  gathering: GatheringDoc;
  sized: Sized | null;
  times: FeastTimes | null;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { gathering, sized, times, kitchen, nowMs, onChange } = props;
  const { book, tables } = useBook();
  const board = useBoard();
  const plans = usePlans();
  const { shelf } = useShelf(nowMs);
  const add = (source: GatheringDrink['source']) =>
    onChange((g) => ({
      ...g,
      drinks: [...g.drinks, { id: uuid(), source, share: 1, served: 'cold', frozen: false, apart: [] }],
    }));
  const readyMsOf = (id: string): number | null => {
    const ends = (times?.jobs ?? []).filter((j) => j.drinkId === id).map((j) => j.endMs);
    const doneMs = Math.max(0, ...ends);
    return doneMs > nowMs ? doneMs : null;
  };
  const taken = new Set(
    gathering.drinks.flatMap((d) => (d.source.kind === 'batch' ? [d.source.batchId] : [])),
  );
  const batches = [
    ...board.on.map(({ batch }) => batch),
    ...(plans.data ?? []).map(({ batch }) => batch),
  ].filter((b) => !taken.has(b.id));
  const shelved = new Map<string, string[]>();
  for (const { item } of shelf?.living ?? []) {
    const { recipeId, itemId } = item.facts;
    shelved.set(recipeId, [...(shelved.get(recipeId) ?? []), itemId]);
  }
  return (
    <Box data-testid="settle-drinks">
      <Box sx={{ ...heading, mb: 1 }}>{say('settle.drinks')}</Box>
      {gathering.drinks.map((drink) => (
        <SettleDrink
          key={drink.id}
          drink={drink}
          made={sized?.drinks.find((d) => d.id === drink.id)}
          shareL={sized?.shareL.get(drink.id) ?? null}
          readyMs={readyMsOf(drink.id)}
          onChangeAll={onChange}
        />
      ))}
      <Box sx={{ display: 'grid', gap: 1.5, mt: 2, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr 1fr' } }}>
        <Pick
          label={say('settle.addDrink')}
          options={book.map((r) => ({ id: r.id, text: sayDrink(r.id, r.name) }))}
          onPick={(id) => {
            const recipe = book.find((r) => r.id === id);
            const opening = recipe && openingPlan(recipe, kitchen, book, tables);
            if (opening) add({ kind: 'plan', plan: opening.plan, litres: null });
            else notify('error', say('settle.noPot'));
          }}
        />
        <Pick
          label={say('settle.addBatch')}
          options={batches.map((b) => ({ id: b.id, text: sayDrink(b.plan.recipeId) }))}
          onPick={(batchId) => add({ kind: 'batch', batchId })}
        />
        <Pick
          label={say('settle.addBottles')}
          options={[...shelved].map(([id]) => ({ id, text: sayDrink(id) }))}
          onPick={(id) => add({ kind: 'bottles', itemIds: shelved.get(id) ?? [] })}
        />
      </Box>
    </Box>
  );
}

/** One drink: how much of it against the others, how it is served, and what it is. */
const SettleDrink = memo(function SettleDrink(props: {
  drink: GatheringDrink;
  made: FeastDrink | undefined;
  /** What its share of the guests' thirst comes to, once it is known. */
  shareL: number | null;
  /** By when it is ready, as its hours stand. */
  readyMs: number | null;
  onChangeAll: (change: GatheringChange) => void;
}) {
  const { drink, made, shareL, readyMs, onChangeAll } = props;
  const change = (by: Partial<GatheringDrink>) =>
    onChangeAll((g) => ({ ...g, drinks: g.drinks.map((d) => (d.id === drink.id ? { ...d, ...by } : d)) }));
  const create = useSend('createBatch');
  /** Its plan is kept among the batches, and from there it is begun: what really happens is then told here. */
  const keep = async ({ plan }: FeastDrink) => {
    const id = uuid();
    try {
      await create.mutateAsync({ body: { id, plan: { ...plan!, readyAtMs: readyMs } } });
      change({ source: { kind: 'batch', batchId: id } });
    } catch (error) {
      tellError(error);
    }
  };
  const recipeId = drink.source.kind === 'plan' ? drink.source.plan.recipeId : null;
  return (
    <SettleRow testId="settle-drink">
      <Box sx={{ ...heading, flex: '1 1 200px', alignSelf: 'center' }}>
        {recipeId ? sayDrink(recipeId) : sayFeastDrink(made)}
      </Box>
      <OneOf
        label={say('settle.share')}
        value={drink.share}
        options={SHARES.map((s) => ({ value: s.value, text: say(s.key) }))}
        onChange={(share) => change({ share })}
      />
      <OneOf
        label={say('settle.served')}
        value={drink.served}
        options={SERVED.map((s) => ({ value: s, text: say(`settle.served.${s}`) }))}
        onChange={(served) => change({ served })}
      />
      {drink.source.kind !== 'bottles' && (
        <Chip
          label={say('settle.frozen')}
          variant={drink.frozen ? 'filled' : 'outlined'}
          color={drink.frozen ? 'primary' : 'default'}
          aria-pressed={drink.frozen}
          onClick={() => change({ frozen: !drink.frozen })}
          sx={{ alignSelf: 'center' }}
        />
      )}
      {drink.source.kind === 'plan' && (
        <QuantityField
          label={say('settle.ownLitres')}
          value={drink.source.litres}
          unit="L"
          min={0.2}
          max={400}
          width={130}
          {...(shareL !== null && {
            helper: say('settle.byGuests', { litres: litres(shareL) }),
          })}
          onCommit={(own) =>
            drink.source.kind === 'plan' && change({ source: { ...drink.source, litres: own } })
          }
        />
      )}
      {drink.source.kind === 'plan' && made?.plan && (
        <Button size="small" variant="outlined" disabled={create.isPending} onClick={() => void keep(made)}>
          {say('settle.makePlan')}
        </Button>
      )}
      {drink.source.kind === 'batch' && (
        <Link to={`/batches/${drink.source.batchId}`}>{say('settle.toBatch')}</Link>
      )}
      <Button
        size="small"
        color="error"
        onClick={() =>
          onChangeAll((g) => ({
            ...g,
            drinks: g.drinks.filter((d) => d.id !== drink.id),
            gifts: g.gifts.filter((x) => x.drinkId !== drink.id),
          }))
        }
      >
        {say('settle.takeAway')}
      </Button>
    </SettleRow>
  );
});

/** One of some, taken at once. */
function Pick(props: {
  label: string;
  options: readonly { id: string; text: string }[];
  onPick: (id: string) => void;
}) {
  return (
    <Autocomplete
      {...pickWords()}
      options={[...props.options]}
      value={null}
      disabled={props.options.length === 0}
      getOptionLabel={(o) => o.text}
      getOptionKey={(o) => o.id}
      blurOnSelect
      clearOnBlur
      onChange={(_, option) => option && props.onPick(option.id)}
      renderInput={(params) => <TextField {...params} label={props.label} />}
    />
  );
}

import '../../../words/places/gatherings.ts';
import type { GatheringDrink, Kitchen } from '@big-ladle/core/documents';
import type { FeastTimes, Sized } from '@big-ladle/core/gathering';
import { openingPlan } from '@big-ladle/core/plan';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import { createContext, memo, useCallback, useContext, useEffect, useMemo, useRef } from 'react';
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
export const SettleDrinks = memo(function SettleDrinks(props: {
  drinks: readonly GatheringDrink[];
  sized: Sized | null;
  times: FeastTimes | null;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { drinks, sized, times, kitchen, nowMs, onChange } = props;
  const { book, tables } = useBook();
  const board = useBoard();
  const plans = usePlans();
  const { shelf } = useShelf(nowMs);
  const add = useCallback(
    (source: GatheringDrink['source']) =>
      onChange((g) => ({
        ...g,
        drinks: [...g.drinks, { id: uuid(), source, share: 1, served: 'cold', frozen: false, apart: [] }],
      })),
    [onChange],
  );
  const create = useSend('createBatch');
  const keepPlan = async (id: string) => {
    const plan = sized?.drinks.find((d) => d.id === id)?.plan;
    if (!plan) return;
    const ends = (times?.jobs ?? []).filter((j) => j.drinkId === id).map((j) => j.endMs);
    const doneMs = Math.max(0, ...ends);
    const batchId = uuid();
    try {
      await create.mutateAsync({
        body: { id: batchId, plan: { ...plan, readyAtMs: doneMs > nowMs ? doneMs : null } },
      });
      onChange((g) => ({
        ...g,
        drinks: g.drinks.map((d) => (d.id === id ? { ...d, source: { kind: 'batch', batchId } } : d)),
      }));
    } catch (error) {
      tellError(error);
    }
  };
  // What a row is given stays the same while hours are found: it is asked for what is known by then.
  const latest = useRef(keepPlan);
  useEffect(() => {
    latest.current = keepPlan;
  });
  const keep = useCallback((id: string) => void latest.current(id), []);
  const addOfBook = useCallback(
    (id: string) => {
      const recipe = book.find((r) => r.id === id);
      const opening = recipe && openingPlan(recipe, kitchen, book, tables);
      if (opening) add({ kind: 'plan', plan: opening.plan, litres: null });
      else notify('error', say('settle.noPot'));
    },
    [add, book, kitchen, tables],
  );
  const addBatch = useCallback((batchId: string) => add({ kind: 'batch', batchId }), [add]);
  const addBottles = useCallback(
    (id: string) => add({ kind: 'bottles', itemIds: itemsOf(shelf, id) }),
    [add, shelf],
  );
  const ofBook = useMemo(() => book.map((r) => ({ id: r.id, text: sayDrink(r.id, r.name) })), [book]);
  const onShelf = useMemo(
    () =>
      [...new Set((shelf?.living ?? []).map(({ item }) => item.facts.recipeId))].map((id) => ({
        id,
        text: sayDrink(id),
      })),
    [shelf],
  );
  const taken = new Set(drinks.flatMap((d) => (d.source.kind === 'batch' ? [d.source.batchId] : [])));
  const batches = [
    ...board.on.map(({ batch }) => batch),
    ...(plans.data ?? []).map(({ batch }) => batch),
  ].filter((b) => !taken.has(b.id));
  return (
    <Box data-testid="settle-drinks">
      <Box sx={{ ...heading, mb: 1 }}>{say('settle.drinks')}</Box>
      <Shares value={sized?.shareL ?? null}>
        {drinks.map((drink) => {
          const made = sized?.drinks.find((d) => d.id === drink.id);
          return (
            <SettleDrink
              key={drink.id}
              drink={drink}
              name={drink.source.kind === 'plan' ? sayDrink(drink.source.plan.recipeId) : sayFeastDrink(made)}
              canKeep={Boolean(made?.plan) && !create.isPending}
              onKeep={keep}
              onChangeAll={onChange}
            />
          );
        })}
      </Shares>
      <Box sx={{ display: 'grid', gap: 1.5, mt: 2, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr 1fr' } }}>
        <Pick label={say('settle.addDrink')} options={ofBook} onPick={addOfBook} />
        <Pick
          label={say('settle.addBatch')}
          options={batches.map((b) => ({ id: b.id, text: sayDrink(b.plan.recipeId) }))}
          onPick={addBatch}
        />
        <Pick label={say('settle.addBottles')} options={onShelf} onPick={addBottles} />
      </Box>
    </Box>
  );
});

/** The bottles of a drink on the shelf. */
const itemsOf = (shelf: ReturnType<typeof useShelf>['shelf'], recipeId: string): string[] =>
  (shelf?.living ?? []).flatMap(({ item: { facts } }) => (facts.recipeId === recipeId ? [facts.itemId] : []));

/** What each drink's share of the guests' thirst comes to, L; null until it is known. */
const Shares = createContext<ReadonlyMap<string, number> | null>(null);

/** One drink: how much of it against the others, how it is served, and what it is. */
const SettleDrink = memo(function SettleDrink(props: {
  drink: GatheringDrink;
  name: string;
  /** Its plan is known, and may be kept. */
  canKeep: boolean;
  /** Its plan is kept among the batches, and from there it is begun: what really happens is then told here. */
  onKeep: (drinkId: string) => void;
  onChangeAll: (change: GatheringChange) => void;
}) {
  const { drink, name, canKeep, onKeep, onChangeAll } = props;
  const change = (by: Partial<GatheringDrink>) =>
    onChangeAll((g) => ({ ...g, drinks: g.drinks.map((d) => (d.id === drink.id ? { ...d, ...by } : d)) }));
  return (
    <SettleRow testId="settle-drink">
      <Box sx={{ ...heading, flex: '1 1 200px', alignSelf: 'center' }}>{name}</Box>
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
        <OwnLitres
          id={drink.id}
          litres={drink.source.litres}
          onCommit={(own) =>
            drink.source.kind === 'plan' && change({ source: { ...drink.source, litres: own } })
          }
        />
      )}
      {drink.source.kind === 'plan' && (
        <Button size="small" variant="outlined" disabled={!canKeep} onClick={() => onKeep(drink.id)}>
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

/** Litres of one's own choice; left empty they follow the guests. */
function OwnLitres(props: { id: string; litres: number | null; onCommit: (litres: number | null) => void }) {
  const shareL = useContext(Shares)?.get(props.id);
  return (
    <QuantityField
      label={say('settle.ownLitres')}
      value={props.litres}
      unit="L"
      min={0.2}
      max={400}
      width={130}
      {...(shareL !== undefined && { helper: say('settle.byGuests', { litres: litres(shareL) }) })}
      onCommit={props.onCommit}
    />
  );
}

/** One of some, taken at once. */
const Pick = memo(function Pick(props: {
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
});

import '../../words/places/drinks.ts';
import type { OwnStepKind } from '@big-ladle/core/documents';
import {
  type CaptureEntry,
  type CaptureProblem,
  captureToRecipe,
  itemFacts,
  seenTwice,
  UNSEEN,
  type Unseen,
  unseenKey,
  unseenOf,
} from '@big-ladle/core/exchange';
import { FAMILY_ROWS, SHIPPED_TABLES, type Tables } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Autocomplete, { createFilterOptions } from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { notify } from '../../shared/notices.ts';
import { Photos } from '../../shared/photos/lazy.tsx';
import { pickWords } from '../../shared/pickWords.ts';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { serverNow } from '../../shared/time.ts';
import { Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams, litres, volume } from '../../words/quantities.ts';
import { type MessageKey, say, timeOfDay } from '../../words/say.ts';
import { NewIngredient } from './NewIngredient.tsx';
import { useRecipeDrafts } from './recipeDraft.ts';

/** What is being written down; it survives a reload, however long the cooking takes. */
const useCapture = create<{
  /** Of the recipe that it will be: its pictures are kept with it from the first on. */
  id: string;
  name: string;
  entries: CaptureEntry[];
  /** What was said of what nobody saw. */
  answers: Record<string, string>;
  answer: (key: string, value: string) => void;
  setName: (name: string) => void;
  add: (entry: CaptureEntry) => void;
  undo: () => void;
  clear: () => void;
}>()(
  persist(
    (set) => ({
      id: uuid(),
      name: '',
      entries: [],
      answers: {},
      answer: (key, value) => set((s) => ({ answers: { ...s.answers, [key]: value } })),
      setName: (name) => set({ name }),
      add: (entry) => set((s) => ({ entries: [...s.entries, entry] })),
      undo: () => set((s) => ({ entries: s.entries.slice(0, -1) })),
      clear: () => set({ id: uuid(), name: '', entries: [], answers: {} }),
    }),
    { name: 'big-ladle-capture', storage: createJSONStorage(() => localStorage) },
  ),
);

// Kept at once: a picture that is taken before anything is written down is of the same recipe after a reload.
useCapture.setState(({ id }) => ({ id }));

const DEEDS: OwnStepKind[] = ['wash', 'prep', 'heat', 'boil', 'steep', 'strain', 'cool', 'bottle'];
const DEED_WORDS: Partial<Record<OwnStepKind, MessageKey>> = {
  wash: 'capturePage.wash',
  prep: 'capturePage.prep',
  heat: 'capturePage.heat',
  boil: 'capturePage.boil',
  steep: 'capturePage.steep',
  strain: 'capturePage.strain',
  cool: 'capturePage.cool',
  bottle: 'capturePage.bottle',
};

const PROBLEMS: Record<CaptureProblem['kind'], MessageKey> = {
  nothingIn: 'capturePage.nothingIn',
  noLitres: 'capturePage.noLitres',
  moreAfter: 'capturePage.moreAfter',
  unknownItem: 'capturePage.unknownItem',
  noPiece: 'capturePage.noPiece',
};

/** Somebody who never measures cooks; you weigh before and after, count, and tap when things happen. */
export function CapturePage() {
  const kitchen = useKitchen();
  const { tables, own } = useBook();
  const again = useSearchParams()[0].get('again');
  // The drink that is recorded once more: both together become its next version.
  const before = own.find((r) => r.id === again);
  const capture = useCapture();
  const { put } = useRecipeDrafts();
  const navigate = useNavigate();
  const [madeL, setMadeL] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  if (kitchen.isPending) return <Loading />;
  const zone = kitchen.data?.kitchen.zone ?? 'UTC';
  const write = () => {
    const entries: CaptureEntry[] =
      madeL === null
        ? capture.entries
        : [...capture.entries, { kind: 'made', atMs: serverNow(), litres: madeL }];
    const read = captureToRecipe(
      entries,
      { id: capture.id, name: capture.name.trim() || say('capturePage.writtenDownAtThe') },
      tables,
      capture.answers,
    );
    if (!read.ok) {
      setProblem(say(PROBLEMS[read.problem.kind]));
      return;
    }
    capture.clear();
    if (before) {
      const { recipe, onlyOnce } = seenTwice(before, read.value);
      put(`edit:${before.id}`, { recipe, openedAt: before.version, meant: [] });
      if (onlyOnce.length > 0)
        notify('info', say('capturePage.onlyOnce', { list: onlyOnce.map((id) => sayItem(id)).join(', ') }));
      navigate(`/drinks/${before.id}/edit`);
      return;
    }
    put('new', { recipe: read.value, openedAt: 0, meant: [] });
    navigate('/drinks/write');
  };
  return (
    <>
      <PageHead
        title={
          before
            ? say('capturePage.onceMore', { drink: sayDrink(before.id, before.name) })
            : say('capturePage.watchAndWriteDown')
        }
        beside={say('capturePage.weighBeforeAndAfter')}
      />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,1fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.75 }}>
          <Panel title={say('capturePage.somethingGoesIn')}>
            <PutIn tables={tables} onAdd={capture.add} />
          </Panel>
          <Panel title={say('capturePage.somethingHappensNow')}>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {DEEDS.map((deed) => (
                <Button
                  key={deed}
                  variant="outlined"
                  sx={{ minHeight: 56 }}
                  onClick={() => capture.add({ kind: 'deed', atMs: serverNow(), deed })}
                >
                  {say(DEED_WORDS[deed] ?? `step.${deed}`)}
                </Button>
              ))}
            </Box>
          </Panel>
          <Panel title={say('capturePage.somethingIsSaid')}>
            <Said onSaid={(text) => capture.add({ kind: 'said', atMs: serverNow(), text })} />
          </Panel>
          <Panel title={say('capturePage.itIsDone')}>
            <Box sx={{ display: 'grid', gap: 1.5 }}>
              {!before && (
                <TextField
                  label={say('capturePage.whatItIsCalled')}
                  value={capture.name}
                  onChange={(e) => capture.setName(e.target.value)}
                />
              )}
              <QuantityField
                label={say('capturePage.howMuchCameOut')}
                value={madeL}
                min={0.05}
                max={400}
                unit="L"
                onValue={setMadeL}
                width={220}
              />
              <Asked
                unseen={unseenOf(capture.entries, tables)}
                answers={capture.answers}
                zone={zone}
                onAnswer={capture.answer}
              />
              {problem && <Alert severity="error">{problem}</Alert>}
              <Button variant="contained" sx={{ minHeight: 56 }} onClick={write}>
                {say('capturePage.writeTheRecipe')}
              </Button>
            </Box>
          </Panel>
        </Box>
        <Box sx={{ display: 'grid', gap: 1.75 }}>
          <Panel
            title={say('capturePage.soFar')}
            aside={say('capturePage.entries', { count: num(capture.entries.length) })}
          >
            {capture.entries.length === 0 && (
              <Box sx={{ color: role('inkMuted') }}>{say('capturePage.nothingYetItIs')}</Box>
            )}
            <Box data-testid="captured">
              {[...capture.entries].reverse().map((entry, i) => (
                <Row
                  // biome-ignore lint/suspicious/noArrayIndexKey: an entry is known by its number, and only the last is taken back
                  key={capture.entries.length - i}
                  label={entryText(entry)}
                  note={timeOfDay(entry.atMs, zone)}
                >
                  {i === 0 && (
                    <Button size="small" onClick={capture.undo}>
                      {say('common.undo')}
                    </Button>
                  )}
                </Row>
              ))}
            </Box>
          </Panel>
          <Photos subject={{ of: 'recipe', ofId: before?.id ?? capture.id }} zone={zone} />
        </Box>
      </Box>
    </>
  );
}

/** Words of whoever cooks, typed while they are said. */
function Said({ onSaid }: { onSaid: (text: string) => void }) {
  const [text, setText] = useState('');
  const said = text.trim();
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <TextField
        label={say('capturePage.said')}
        helperText={say('capturePage.saidHow')}
        value={text}
        slotProps={{ htmlInput: { maxLength: 600 } }}
        onChange={(e) => setText(e.target.value)}
      />
      <Button
        variant="outlined"
        sx={{ minHeight: 56 }}
        disabled={!said}
        onClick={() => {
          onSaid(said);
          setText('');
        }}
      >
        {say('capturePage.writeItDown')}
      </Button>
    </Box>
  );
}

/** What nobody saw is asked at the end; what is left unsaid stays unsaid. */
function Asked(props: {
  unseen: readonly Unseen[];
  answers: Readonly<Record<string, string>>;
  zone: string;
  onAnswer: (key: string, value: string) => void;
}) {
  const { unseen, answers, zone, onAnswer } = props;
  if (!unseen.length) return null;
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }} data-testid="asked">
      {unseen.map((question) => (
        <Choice
          key={unseenKey(question)}
          label={say(`capturePage.ask.${question.kind}`, { time: timeOfDay(question.atMs, zone) })}
          value={answers[unseenKey(question)] ?? 'notSeen'}
          options={[...UNSEEN[question.kind], 'notSeen' as const].map((value) => ({
            value,
            text: say(`capturePage.answer.${value}`),
          }))}
          onChange={(value) => onAnswer(unseenKey(question), value)}
        />
      ))}
    </Box>
  );
}

function entryText(entry: CaptureEntry): string {
  switch (entry.kind) {
    case 'weighed':
      return say('capturePage.beforeAfter', {
        item: sayItem(entry.itemId),
        before: grams(entry.beforeG - entry.afterG),
        before2: grams(entry.beforeG),
        after: grams(entry.afterG),
      });
    case 'counted':
      return say('capturePage.pieces', {
        item: sayItem(entry.itemId),
        pieces: num(entry.pieces, entry.pieces % 1 ? 1 : 0),
      });
    case 'poured':
      return `${sayItem(entry.itemId)}: ${volume(entry.ml / 1000)}`;
    case 'deed':
      return say(DEED_WORDS[entry.deed] ?? `step.${entry.deed}`);
    case 'said':
      return say('capturePage.quote', { text: entry.text });
    case 'made':
      return say('capturePage.cameOut', { litres: litres(entry.litres) });
  }
}

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

function PutIn({ tables, onAdd }: { tables: Tables; onAdd: (entry: CaptureEntry) => void }) {
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

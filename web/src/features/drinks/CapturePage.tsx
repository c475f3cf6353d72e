import {
  type CaptureEntry,
  type CaptureProblem,
  captureToRecipe,
  FAMILY_ROWS,
  itemFacts,
  type OwnStepKind,
  type Tables,
} from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { serverNow } from '../../shared/time.ts';
import { Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { grams, litres, num, say, timeOfDay, volume } from '../../words/say.ts';
import { useRecipeDrafts } from './recipeDraft.ts';

/** What is being written down; it survives a reload, however long the cooking takes. */
const useCapture = create<{
  name: string;
  entries: CaptureEntry[];
  setName: (name: string) => void;
  add: (entry: CaptureEntry) => void;
  undo: () => void;
  clear: () => void;
}>()(
  persist(
    (set) => ({
      name: '',
      entries: [],
      setName: (name) => set({ name }),
      add: (entry) => set((s) => ({ entries: [...s.entries, entry] })),
      undo: () => set((s) => ({ entries: s.entries.slice(0, -1) })),
      clear: () => set({ name: '', entries: [] }),
    }),
    { name: 'big-ladle-capture', storage: createJSONStorage(() => localStorage) },
  ),
);

const DEEDS: OwnStepKind[] = ['wash', 'prep', 'heat', 'boil', 'steep', 'strain', 'cool', 'bottle'];
const DEED_WORDS: Partial<Record<OwnStepKind, string>> = {
  wash: 'Washing',
  prep: 'Cutting',
  heat: 'On the flame',
  boil: 'It boils',
  steep: 'Flame off, it stands',
  strain: 'Straining',
  cool: 'Cooling',
  bottle: 'Bottling',
};

const PROBLEMS: Record<CaptureProblem['kind'], string> = {
  nothingIn: 'Nothing was put in yet.',
  noLitres: 'Say how many litres came out: everything is written down against them.',
  moreAfter: 'After it went in there was more than before: look at that weighing.',
  unknownItem: 'One of the things is not known any more.',
  noPiece: 'That does not come in pieces: weigh it.',
};

/** Somebody who never measures cooks; you weigh before and after, count, and tap when things happen. */
export function CapturePage() {
  const kitchen = useKitchen();
  const { tables } = useBook();
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
      { id: uuid(), name: capture.name.trim() || 'Written down at the stove' },
      tables,
    );
    if (!read.ok) {
      setProblem(PROBLEMS[read.problem.kind]);
      return;
    }
    put('new', { recipe: read.value, openedAt: 0, meant: [] });
    capture.clear();
    navigate('/drinks/write');
  };
  return (
    <>
      <PageHead
        title="Watch and write down"
        beside="Weigh before and after, count, and tap when things happen."
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
          <Panel title="Something goes in">
            <PutIn tables={tables} onAdd={capture.add} />
          </Panel>
          <Panel title="Something happens now">
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {DEEDS.map((deed) => (
                <Button
                  key={deed}
                  variant="outlined"
                  sx={{ minHeight: 56 }}
                  onClick={() => capture.add({ kind: 'deed', atMs: serverNow(), deed })}
                >
                  {DEED_WORDS[deed]}
                </Button>
              ))}
            </Box>
          </Panel>
          <Panel title="It is done">
            <Box sx={{ display: 'grid', gap: 1.5 }}>
              <TextField
                label="What it is called"
                value={capture.name}
                onChange={(e) => capture.setName(e.target.value)}
              />
              <QuantityField
                label="Litres that came out"
                value={madeL}
                min={0.05}
                max={400}
                unit="L"
                onCommit={setMadeL}
                width={220}
              />
              {problem && <Alert severity="error">{problem}</Alert>}
              <Button variant="contained" sx={{ minHeight: 56 }} onClick={write}>
                Write the recipe
              </Button>
            </Box>
          </Panel>
        </Box>
        <Panel title="So far" aside={`${num(capture.entries.length)} entries`}>
          {capture.entries.length === 0 && (
            <Box sx={{ color: role('inkMuted') }}>Nothing yet. It is kept here, also through a reload.</Box>
          )}
          <Box data-testid="captured">
            {[...capture.entries].reverse().map((entry, i) => (
              <Row
                key={`${entry.atMs}${entry.kind}`}
                label={entryText(entry)}
                note={timeOfDay(entry.atMs, zone)}
              >
                {i === 0 && (
                  <Button size="small" onClick={capture.undo}>
                    Undo
                  </Button>
                )}
              </Row>
            ))}
          </Box>
        </Panel>
      </Box>
    </>
  );
}

function entryText(entry: CaptureEntry): string {
  switch (entry.kind) {
    case 'weighed':
      return `${sayItem(entry.itemId)}: ${grams(entry.beforeG - entry.afterG)} (${grams(entry.beforeG)} before, ${grams(entry.afterG)} after)`;
    case 'counted':
      return `${sayItem(entry.itemId)}: ${num(entry.pieces, entry.pieces % 1 ? 1 : 0)} pieces`;
    case 'poured':
      return `${sayItem(entry.itemId)}: ${volume(entry.ml / 1000)}`;
    case 'deed':
      return DEED_WORDS[entry.deed] ?? say(`step.${entry.deed}`);
    case 'made':
      return `${litres(entry.litres)} came out`;
  }
}

const ITEMS = FAMILY_ROWS.flatMap((f) => f.forms.map((form) => form.itemId));

function PutIn({ tables, onAdd }: { tables: Tables; onAdd: (entry: CaptureEntry) => void }) {
  const [itemId, setItemId] = useState<string | null>(null);
  const [way, setWay] = useState<'weighed' | 'counted' | 'poured'>('weighed');
  const [before, setBefore] = useState<number | null>(null);
  const [after, setAfter] = useState<number | null>(0);
  const [amount, setAmount] = useState<number | null>(null);
  const facts = itemId ? itemFacts(itemId, tables) : null;
  const ways = [
    { value: 'weighed', text: 'weighed' },
    ...(facts?.kind === 'liquid' ? [{ value: 'poured', text: 'by the jug' }] : []),
    ...(facts?.measurable.piece ? [{ value: 'counted', text: 'counted' }] : []),
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
        options={ITEMS}
        value={itemId}
        onChange={(_, v) => setItemId(v)}
        getOptionLabel={sayItem}
        renderInput={(params) => <TextField {...params} label="What" />}
      />
      <Choice label="How you know" value={shown} options={ways} onChange={(v) => setWay(v as 'weighed')} />
      {shown === 'weighed' ? (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          <QuantityField
            label="Before"
            value={before}
            min={0}
            max={100_000}
            decimals={1}
            unit="g"
            onCommit={setBefore}
          />
          <QuantityField
            label="After"
            value={after}
            min={0}
            max={100_000}
            decimals={1}
            unit="g"
            onCommit={setAfter}
            problem={wrong ? 'More than before.' : undefined}
          />
        </Box>
      ) : (
        <QuantityField
          label={shown === 'counted' ? 'How many' : 'How much'}
          value={amount}
          min={0.1}
          max={100_000}
          decimals={1}
          unit={shown === 'counted' ? '' : 'mL'}
          onCommit={setAmount}
        />
      )}
      <Button variant="contained" sx={{ minHeight: 56 }} disabled={!ready} onClick={add}>
        It is in
      </Button>
    </Box>
  );
}

import '../../../words/places/drinks.ts';
import type { OwnStepKind } from '@big-ladle/core/documents';
import {
  type CaptureEntry,
  type CaptureProblem,
  captureToRecipe,
  seenTwice,
  unseenOf,
} from '@big-ladle/core/exchange';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useBook } from '../../../shared/book.ts';
import { notify } from '../../../shared/notices.ts';
import { Photos } from '../../../shared/photos/lazy.tsx';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { useKitchen } from '../../../shared/queries.ts';
import { serverNow } from '../../../shared/time.ts';
import { Loading, PageHead, Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayDrink, sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { type MessageKey, say, timeOfDay } from '../../../words/say.ts';
import { useRecipeDrafts } from '../recipeDraft.ts';
import { Asked } from './Asked.tsx';
import { useCapture } from './captured.ts';
import { deedText, entryText } from './entryWords.ts';
import { PutIn } from './PutIn.tsx';
import { Said } from './Said.tsx';

const DEEDS: OwnStepKind[] = ['wash', 'prep', 'heat', 'boil', 'steep', 'strain', 'cool', 'bottle'];

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
                  {deedText(deed)}
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

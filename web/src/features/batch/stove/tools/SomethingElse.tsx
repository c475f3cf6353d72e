import '../../../../words/places/batch.ts';
import { amountWarning } from '@big-ladle/core/compare';
import { isPot } from '@big-ladle/core/program';
import { TAP_WATER_ID } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { batchTime } from '../../../../shared/batch/state.ts';
import { vesselNowId } from '../../../../shared/batch/vesselNow.ts';
import { Choice } from '../../../../shared/Choice.tsx';
import { notify } from '../../../../shared/notices.ts';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { sayWarning } from '../../../../words/plausibilityWords.ts';
import { volume } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { SetAside } from '../forms/SetAside.tsx';
import { SwapLine } from './SwapLine.tsx';

const SPLASHES_ML = [100, 250, 500, 1000];
const SPILLS_ML = [50, 100, 250, 500];
/** What was not as planned and changes no figure: it stands in the log, for next time. */
const NOTED = ['noted.burnt', 'noted.boiledOver'] as const;
/** The flame is missed at once, or only after a while. */
const OUT_SINCE_MIN = [0, 5, 15, 30];
/** What guests drink while it is still being made. */
const SERVED_ML = [250, 500, 1000, 2000];

/** Quick adds and what was not as planned: a tap each, all of it undone with a tap. */
export function SomethingElse({ live, onDone }: { live: LiveBatch; onDone: () => void }) {
  const { step, program, tables, now } = live;
  const [what, setWhat] = useState<'water' | 'more' | 'spill' | 'served' | 'swapped' | 'aside' | 'other'>(
    'water',
  );
  const solids = program.lines.filter((l) => l.kind === 'solid' && tables.ingredients.has(l.itemId));
  const [lineId, setLineId] = useState(solids[0]?.id ?? '');
  const [grams, setGrams] = useState(5);
  /** The grams that were asked about: entered again, they are meant. */
  const [asked, setAsked] = useState<number | null>(null);
  if (!step) return null;
  const more = solids.find((l) => l.id === lineId);
  const vesselId = vesselNowId(live);
  const hereL = now.moment?.vessels[vesselId] ? (now.moment.trace.at(-1)?.now.volumeL ?? 0) : 0;
  // What went in already and this together, against what the recipe has.
  const slip = more
    ? amountWarning(more.itemId, more.massG + grams, hereL, tables, more.massG || undefined)
    : null;
  const tell = (deed: Parameters<LiveBatch['record']>[0][number], atMs?: number) => {
    void live.record(
      [deed],
      { onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })) },
      atMs,
    );
    onDone();
  };
  const tap = (label: string, act: () => void) => (
    <Button key={label} variant="outlined" color="inherit" sx={thumb} onClick={act}>
      {label}
    </Button>
  );
  const startMs = now.log.steps[step.id]?.startMs ?? live.nowMs;
  const flameOut = (minutesAgo: number) =>
    tell(
      { kind: 'flame', body: { stepId: step.id, on: false } },
      // Not before this step began, nor ahead of what was said last.
      minutesAgo === 0
        ? undefined
        : Math.round(Math.max(startMs + 1, batchTime(live.batch) - minutesAgo * 60_000)),
    );
  const takenOut = (amountsMl: readonly number[], why: 'spill' | 'other') =>
    amountsMl
      .filter((ml) => ml / 1000 < hereL)
      .map((ml) =>
        tap(volume(ml / 1000), () =>
          tell({ kind: 'removed', body: { stepId: step.id, vesselId, volumeL: ml / 1000, why } }),
        ),
      );
  const added = (lineKind: 'solid' | 'liquid', itemId: string, massG: number) =>
    tell({
      kind: 'added',
      body: { stepId: step.id, vesselId, lineKind, itemId, lineId: `extra-${uuid().slice(-12)}`, massG },
    });
  return (
    <Box
      component="section"
      aria-label={say('somethingElse.somethingElse')}
      data-testid="something-else"
      sx={{ display: 'grid', gap: 1.25 }}
    >
      <Choice
        label={say('somethingElse.whatHappened')}
        value={what}
        options={[
          { value: 'water', text: say('somethingElse.aSplashOfWater') },
          { value: 'more', text: say('somethingElse.moreOfSomething') },
          { value: 'spill', text: say('somethingElse.spilt') },
          { value: 'served', text: say('somethingElse.served') },
          { value: 'swapped', text: say('somethingElse.swappedOrLessOf') },
          { value: 'aside', text: say('somethingElse.leftInTheCloth') },
          { value: 'other', text: say('somethingElse.notAsPlanned') },
        ]}
        onChange={(v) => setWhat(v as 'water')}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        {what === 'water' &&
          SPLASHES_ML.map((ml) => tap(volume(ml / 1000), () => added('liquid', TAP_WATER_ID, ml * 0.9982)))}
        {what === 'spill' && takenOut(SPILLS_ML, 'spill')}
        {what === 'served' && takenOut(SERVED_ML, 'other')}
        {(what === 'spill' || what === 'served') && hereL < 0.06 && (
          <Box>{say('somethingElse.thereIsNothingHere')}</Box>
        )}
        {what === 'swapped' && <SwapLine live={live} onSwap={(body) => tell({ kind: 'swapped', body })} />}
        {what === 'aside' && <SetAside live={live} onDone={onDone} />}
        {what === 'other' && (step.kind === 'heat' || step.kind === 'boil') && !now.flameOut && (
          <>
            <span>{say('somethingElse.theFlameIsOut')}</span>
            {OUT_SINCE_MIN.filter((m) => m === 0 || live.nowMs - startMs > m * 60_000).map((m) =>
              tap(
                m === 0 ? say('somethingElse.sinceNow') : say('somethingElse.sinceMin', { minutes: m }),
                () => flameOut(m),
              ),
            )}
          </>
        )}
        {what === 'other' &&
          NOTED.map((code) => tap(say(code), () => tell({ kind: 'noted', body: { stepId: step.id, code } })))}
        {what === 'more' && (
          <>
            {solids.map((line) => (
              <Button
                key={line.id}
                variant={line.id === lineId ? 'contained' : 'outlined'}
                color={line.id === lineId ? 'primary' : 'inherit'}
                sx={thumb}
                aria-pressed={line.id === lineId}
                onClick={() => setLineId(line.id)}
              >
                {sayItem(line.itemId)}
              </Button>
            ))}
            <QuantityField
              label={say('somethingElse.amount')}
              value={grams}
              min={0.1}
              max={2000}
              decimals={1}
              unit="g"
              width={140}
              onValue={setGrams}
            />
            {asked === grams && slip && <Alert severity="warning">{sayWarning(slip, hereL)}</Alert>}
            <Button
              variant="contained"
              sx={thumb}
              onClick={() => {
                if (slip && asked !== grams) setAsked(grams);
                else if (more) added('solid', more.itemId, grams);
              }}
            >
              {asked === grams && slip ? say('somethingElse.itIsSo') : say('common.itIsIn')}
            </Button>
          </>
        )}
      </Box>
      {what !== 'other' && what !== 'aside' && (
        <Box sx={{ color: role('inkMuted') }}>
          {say('somethingElse.strengthSweetenerAndBottles', {
            counted:
              what === 'swapped'
                ? say('somethingElse.countedFromWhereIt')
                : isPot(vesselId)
                  ? say('somethingElse.countedIntoThePot')
                  : say('somethingElse.countedWhereTheDrink'),
          })}
        </Box>
      )}
    </Box>
  );
}

import '../../../../words/places/batch.ts';
import { massG, volumeMl } from '@big-ladle/core/liquor';
import type { EventBody } from '@big-ladle/core/log';
import type { LineId, ProgramLine } from '@big-ladle/core/program';
import { fruitToCome } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Counter } from '../../../../shared/Counter.tsx';
import { Dial } from '../../../../shared/Dial.tsx';
import { notify } from '../../../../shared/notices.ts';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { num } from '../../../../words/numbers.ts';
import { millilitres, millilitresOf } from '../../../../words/quantities.ts';
import { sayRich } from '../../../../words/rich.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** What a line wants in juice, and what is said once it is squeezed. */
interface Wanted {
  /** What is pressed; several fruits have one jug and one running total. */
  lines: readonly ProgramLine[];
  ml: number;
  /** Weight of one fruit as the tables have it; null where they have none. */
  pieceG: number | null;
  deeds: (gotMl: number, pieces: number) => EventBody[];
}

/** Juice that this step wants: poured raw from a line of its own, or pressed from the fruit of the step. */
function wantedOf(live: LiveBatch): Wanted[] {
  const { step, program, tables, now } = live;
  if (!step) return [];
  const line = (id: LineId) => program.lines.find((l) => l.id === id);
  if (step.kind === 'juice') {
    const fruits = step.lines.flatMap((id) => line(id) ?? []);
    const entry = now.forecast.trace.find((t) => t.stepId === step.id);
    const [fruit] = fruits;
    if (!fruit || !entry) return [];
    // Several fruits in one jug cannot be told apart by what is in it: no one of them is counted.
    const row = fruits.length === 1 ? tables.ingredients.get(fruit.itemId) : undefined;
    const beforeMl = massG(entry.before.liquor) > 0 ? volumeMl(entry.before.liquor) : 0;
    const pieceG = row?.piece?.massG ?? null;
    return [
      {
        lines: fruits,
        ml: volumeMl(entry.after.liquor) - beforeMl,
        pieceG,
        deeds: (gotMl, pieces) => [
          ...(pieceG === null
            ? []
            : [
                {
                  kind: 'swapped' as const,
                  body: { lineId: fruit.id, itemId: fruit.itemId, massG: Math.round(pieces * pieceG) },
                },
              ]),
          {
            kind: 'measured',
            body: {
              stepId: step.id,
              vesselId: entry.vesselId,
              reading: { what: 'volume', volumeL: (beforeMl + gotMl) / 1000, atC: 20 },
            },
          },
        ],
      },
    ];
  }
  return step.lines.flatMap((id) => {
    const juice = line(id);
    const row = juice?.kind === 'liquid' ? tables.liquids.get(juice.itemId) : undefined;
    if (!juice || row?.treatment !== 'rawJuice' || juice.massG <= 0) return [];
    return [
      {
        lines: [juice],
        ml: juice.massG / row.densityGPerMl,
        pieceG: null,
        deeds: (gotMl) => [
          {
            kind: 'swapped',
            body: {
              lineId: juice.id,
              itemId: juice.itemId,
              massG: Math.round(gotMl * row.densityGPerMl * 10) / 10,
            },
          },
        ],
      },
    ];
  });
}

/** Juice by the fruit: so much from each so far, so many more to squeeze; what there is takes the place of the plan. */
export function Squeeze({ live }: { live: LiveBatch }) {
  return wantedOf(live).map((wanted) => (
    <OneJuice key={wanted.lines.map((l) => l.id).join(' ')} live={live} wanted={wanted} />
  ));
}

function OneJuice({ live, wanted }: { live: LiveBatch; wanted: Wanted }) {
  const [pieces, setPieces] = useState(0);
  const [gotMl, setGotMl] = useState<number | null>(null);
  const [entered, setEntered] = useState(false);
  const { lines, ml } = wanted;
  const several = lines.length > 1;
  const name = lines.map((l) => sayItem(l.itemId).toLowerCase()).join(', ');
  const come = fruitToCome(ml, gotMl ?? 0, pieces);
  const [got, wantedText] = millilitresOf(gotMl ?? 0, ml);
  const enter = () =>
    void live.record(wanted.deeds(gotMl ?? 0, pieces), {
      onStored: () => setEntered(true),
      onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })),
    });
  return (
    <Box
      component="section"
      aria-label={say('squeeze.juice', { name })}
      data-testid="squeeze"
      sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'minmax(0,1fr)' }}
    >
      <Box>
        {sayRich('squeeze.countedOnWithWanted', {
          isEntered: Boolean(entered),
          ml: <strong>{millilitres(ml)}</strong>,
          name,
        })}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        {!several && (
          <Counter
            count={pieces}
            text={say('squeeze.fruit', { pieces: num(pieces) })}
            fewer={say('squeeze.oneFruitFewer')}
            more={say('squeeze.oneFruitMore')}
            onChange={setPieces}
          />
        )}
        <QuantityField
          label={say('squeeze.juiceSoFar')}
          value={gotMl}
          min={0}
          max={20_000}
          decimals={0}
          unit="mL"
          width={160}
          onValue={setGotMl}
          testId="juice-ml"
        />
      </Box>
      <Dial
        name={say('squeeze.dial')}
        value={gotMl}
        start={ml}
        small={10}
        large={50}
        min={0}
        max={20_000}
        decimals={0}
        onChange={setGotMl}
      />
      {several && (
        <Box role="status" data-testid="juice-total">
          {say('squeeze.total', {
            got,
            wanted: wantedText,
            left: millilitres(Math.max(0, ml - (gotMl ?? 0))),
            isEnough: (gotMl ?? 0) >= ml,
          })}
        </Box>
      )}
      {come && (
        <Box role="status" data-testid="how-many-more">
          {sayRich('squeeze.aFruit', {
            perPiece: millilitres(come.perPieceMl),
            enough: (
              <strong>
                {come.more === 0
                  ? say('squeeze.thatIsEnough')
                  : say('squeeze.moreLikeThem', { more: num(come.more) })}
              </strong>
            ),
          })}
        </Box>
      )}
      <Button
        variant="outlined"
        color="inherit"
        sx={thumb}
        disabled={gotMl === null || gotMl <= 0 || (wanted.pieceG !== null && pieces === 0)}
        onClick={enter}
      >
        {say('squeeze.goOnWithWhat')}
      </Button>
      <Box sx={{ color: role('inkMuted') }}>{say('squeeze.sournessLitresAndSweetener')}</Box>
    </Box>
  );
}

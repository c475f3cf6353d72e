import '../../../../words/places/batch.ts';
import type { LineKind } from '@big-ladle/core/documents';
import type { ProgramLine } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { PickItem } from '../../../../shared/PickItem.tsx';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { grams } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

const itemsOf = (tables: Tables, kind: LineKind): string[] => [
  ...(kind === 'solid' ? tables.ingredients : kind === 'liquid' ? tables.liquids : tables.sweeteners).keys(),
];

/** Something else went in, or not so much of it: the line takes what really went in. */
export function SwapLine(props: {
  live: LiveBatch;
  onSwap: (body: { lineId: string; itemId: string; massG: number }) => void;
}) {
  const { program, tables } = props.live;
  const [lineId, setLineId] = useState<string | null>(null);
  const line = program.lines.find((l) => l.id === lineId);
  return (
    <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'minmax(0,1fr)' }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {program.lines.map((l) => (
          <Button
            key={l.id}
            variant={l.id === lineId ? 'contained' : 'outlined'}
            color={l.id === lineId ? 'primary' : 'inherit'}
            sx={thumb}
            aria-pressed={l.id === lineId}
            onClick={() => setLineId(l.id)}
          >
            {sayItem(l.itemId)}
            {l.massG > 0 && `, ${grams(l.massG)}`}
          </Button>
        ))}
      </Box>
      {line && (
        <Instead
          key={line.id}
          line={line}
          partG={Math.round(props.live.now.forecast.dosedG[line.id] ?? 0)}
          tables={tables}
          onSwap={props.onSwap}
        />
      )}
    </Box>
  );
}

function Instead(props: {
  line: ProgramLine;
  partG: number;
  tables: Tables;
  onSwap: (body: { lineId: string; itemId: string; massG: number }) => void;
}) {
  const { line, partG, tables, onSwap } = props;
  const [itemId, setItemId] = useState(line.itemId);
  // What goes by parts is known once the drink is.
  const [massG, setMassG] = useState(line.massG || partG);
  const toTaste = line.rule.kind === 'toTarget';
  const same = itemId === line.itemId && (toTaste || massG === (line.massG || partG));
  return (
    <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'center' }}>
      <PickItem
        large
        label={say('batchPage.whatWentIn')}
        ids={itemsOf(tables, line.kind)}
        value={itemId}
        onPick={setItemId}
      />
      {toTaste ? (
        <Box sx={{ color: role('inkMuted') }}>{say('swapLine.byTasteAsBefore')}</Box>
      ) : (
        <QuantityField
          label={say('common.howMuch')}
          value={massG}
          min={0}
          max={100_000}
          decimals={1}
          unit="g"
          width={150}
          onValue={setMassG}
          testId="swap-grams"
        />
      )}
      <Button
        variant="contained"
        sx={thumb}
        disabled={same}
        onClick={() => onSwap({ lineId: line.id, itemId, massG })}
      >
        {say('swapLine.thatWentIn')}
      </Button>
    </Box>
  );
}

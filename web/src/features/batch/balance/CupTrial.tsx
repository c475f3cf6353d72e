import '../../../words/places/batch.ts';
import { scaleTrial } from '@big-ladle/core/balance';
import { type Composition, volumeMl } from '@big-ladle/core/liquor';
import type { EventBody } from '@big-ladle/core/log';
import { FIRST_SOUR_ID, type Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { PickItem } from '../../../shared/PickItem.tsx';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { Caution, Panel } from '../../../shared/ui.tsx';
import { role, thumb } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { grams, volume } from '../../../words/quantities.ts';
import { sayRich } from '../../../words/rich.ts';
import { say } from '../../../words/say.ts';

/** What was tried on a cup, as much of it as the whole drink wants, with what does not scale. */
export function CupTrial(props: {
  drink: Composition;
  tables: Tables;
  into: { stepId: string; vesselId: string } | null;
  onAdd: (deed: EventBody) => void;
}) {
  const { drink, tables, into, onAdd } = props;
  const [cupMl, setCupMl] = useState(200);
  const [itemId, setItemId] = useState(FIRST_SOUR_ID);
  const [amount, setAmount] = useState<number | null>(null);
  const liquid = tables.liquids.get(itemId);
  const sweetener = tables.sweeteners.get(itemId);
  const perMl = liquid?.densityGPerMl ?? 1;
  const scaled =
    amount && amount > 0
      ? scaleTrial(cupMl, [{ itemId, massG: amount * perMl }], volumeMl(drink), drink, tables)
      : null;
  const massG = scaled?.additions[0]?.massG ?? 0;
  return (
    <Panel title={say('cupTrial.triedOnACup')} testId="cup-trial">
      <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'minmax(0,1fr)', mt: 1 }}>
        <PickItem
          label={say('cupTrial.whatWentIntoThe')}
          ids={[...tables.liquids.keys(), ...tables.sweeteners.keys(), ...tables.ingredients.keys()]}
          value={itemId}
          onPick={setItemId}
        />
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
          <QuantityField
            label={say('cupTrial.intoACupOf')}
            value={cupMl}
            min={20}
            max={1000}
            decimals={0}
            unit="mL"
            width={140}
            onValue={setCupMl}
          />
          <QuantityField
            label={say('cupTrial.soMuch')}
            value={amount}
            min={0.1}
            max={500}
            decimals={1}
            unit={liquid ? 'mL' : 'g'}
            width={130}
            onValue={setAmount}
            testId="trial-amount"
          />
        </Box>
        {scaled && (
          <>
            <Box data-testid="trial-answer">
              {sayRich('cupTrial.forAllOfIt', {
                factor: num(scaled.factor, 1),
                mass: <strong>{liquid ? volume(massG / perMl / 1000) : grams(massG)}</strong>,
                item: sayItem(itemId).toLowerCase(),
              })}
            </Box>
            {scaled.cautions.map((c) => (
              <Caution
                key={c}
                severity={c === 'curdles' ? 'caution' : 'check'}
                word={say(`severity.${c === 'curdles' ? 'caution' : 'check'}`)}
                text={say(`trial.${c}`)}
              />
            ))}
            {into && (
              <Button
                variant="outlined"
                color="inherit"
                sx={thumb}
                onClick={() => {
                  onAdd({
                    kind: 'added',
                    body: {
                      ...into,
                      lineKind: liquid ? 'liquid' : sweetener ? 'sweetener' : 'solid',
                      itemId,
                      lineId: `trial-${itemId}`,
                      massG: Math.round(massG * 10) / 10,
                    },
                  });
                  setAmount(null);
                }}
              >
                {say('cupTrial.itIsInAll')}
              </Button>
            )}
          </>
        )}
        {!scaled && <Box sx={{ color: role('inkMuted') }}>{say('cupTrial.trySomethingOnA')}</Box>}
      </Box>
    </Panel>
  );
}

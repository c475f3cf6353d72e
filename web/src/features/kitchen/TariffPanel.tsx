import '../../words/places/cost.ts';
import type { Kitchen, Tariff } from '@big-ladle/core/documents';
import { GAS_UNITS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { QuantityField } from '../../shared/QuantityField.tsx';
import type { SaveKitchen } from '../../shared/saveKitchen.ts';
import { Panel } from '../../shared/ui.tsx';
import { say } from '../../words/say.ts';
import { SelectField } from './parts/SelectField.tsx';

/** What this house pays for heat, as its bill says it. */
export function TariffPanel({ kitchen, save }: { kitchen: Kitchen; save: SaveKitchen }) {
  const { electricityPerKWh, gas } = kitchen.tariff;
  const put = (change: Partial<Tariff>) => void save((k) => ({ tariff: { ...k.tariff, ...change } }));
  return (
    <Panel title={say('tariff.title')} aside={say('tariff.beside')}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', mt: 1 }}>
        <QuantityField
          label={say('tariff.electricity')}
          value={electricityPerKWh}
          min={0}
          max={10_000}
          decimals={4}
          width={260}
          onCommit={(v) => v !== electricityPerKWh && put({ electricityPerKWh: v })}
          testId="tariff-electricity"
        />
        <QuantityField
          label={say('tariff.gasPrice')}
          value={gas?.price ?? null}
          min={0}
          max={100_000}
          decimals={4}
          width={160}
          onCommit={(price) => price !== gas?.price && put({ gas: { per: gas?.per ?? 'kWh', price } })}
          testId="tariff-gas"
        />
        {gas && (
          <SelectField
            label={say('tariff.gas')}
            value={gas.per}
            options={GAS_UNITS.map((value) => ({ value, text: say(`gasUnit.${value}`) }))}
            onChange={(value) => {
              const per = GAS_UNITS.find((unit) => unit === value);
              if (per) put({ gas: { ...gas, per } });
            }}
          />
        )}
      </Box>
      {(electricityPerKWh !== null || gas) && (
        <Button sx={{ mt: 1 }} onClick={() => put({ electricityPerKWh: null, gas: null })}>
          {say('tariff.forget')}
        </Button>
      )}
    </Panel>
  );
}

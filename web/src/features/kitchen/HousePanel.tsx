import { ALCOHOL_UNIT_ROWS, type House, type Kitchen, SHIPPED_TABLES } from '@big-ladle/core';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { houseOf } from '../../shared/house.ts';
import { QuantityField } from '../../shared/QuantityField.tsx';
import type { SaveKitchen } from '../../shared/saveKitchen.ts';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { has, sayCode } from '../../words/say.ts';

/** Fruit that go in as the juice of whole ones. */
const WHOLE = ['lime', 'lemon', 'orange', 'pineapple', 'apple', 'watermelon'];
/** What may move a balance: sweeteners, liquids, whole fruit. */
const ADDABLE = [...SHIPPED_TABLES.sweeteners.keys(), ...SHIPPED_TABLES.liquids.keys(), ...WHOLE];

const nameOf = (id: string): string =>
  WHOLE.includes(id) && has(`fruit.${id}`) ? `${sayCode(`fruit.${id}`)}, whole` : sayItem(id);

/** What this house has settled about its drinks: limits that are pointed out, and what may be added. */
export function HousePanel({ kitchen, save }: { kitchen: Kitchen; save: SaveKitchen }) {
  const house = houseOf(kitchen);
  const put = (change: Partial<House>) => void save((k) => ({ house: { ...houseOf(k), ...change } }));
  return (
    <Panel title="This house" aside="pointed out where it is passed">
      <Box sx={{ display: 'grid', gap: 2, mt: 1 }}>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          <QuantityField
            label="Free sugars in a glass, at most"
            value={house.freeSugarGPerGlass}
            min={1}
            max={200}
            decimals={0}
            unit="g"
            width={290}
            onCommit={(v) => v !== house.freeSugarGPerGlass && put({ freeSugarGPerGlass: v })}
            testId="house-sugar"
          />
          {house.freeSugarGPerGlass !== null && (
            <Button onClick={() => put({ freeSugarGPerGlass: null })}>No limit of sugar</Button>
          )}
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          <QuantityField
            label="Citrus juice in a litre, at most"
            value={house.citrusMlPerL}
            min={1}
            max={500}
            decimals={0}
            unit="mL"
            width={290}
            helper="For sensitive stomachs"
            onCommit={(v) => v !== house.citrusMlPerL && put({ citrusMlPerL: v })}
          />
          {house.citrusMlPerL !== null && (
            <Button onClick={() => put({ citrusMlPerL: null })}>No limit of citrus</Button>
          )}
        </Box>
        <TextField
          select
          label="Alcohol is counted in"
          value={house.alcoholUnitId}
          onChange={(e) => put({ alcoholUnitId: e.target.value })}
        >
          {ALCOHOL_UNIT_ROWS.map((row) => (
            <MenuItem key={row.id} value={row.id}>
              {row.name}
            </MenuItem>
          ))}
        </TextField>
        <Autocomplete
          multiple
          options={ADDABLE}
          value={[...house.allows]}
          getOptionLabel={nameOf}
          onChange={(_, ids) => put({ allows: ids })}
          renderInput={(params) => <TextField {...params} label="May be added to a drink" />}
        />
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
          The first sweetener is the one that is offered first.
        </Box>
      </Box>
    </Panel>
  );
}

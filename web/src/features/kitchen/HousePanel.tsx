import '../../words/places/kitchen.ts';
import type { House, Kitchen } from '@big-ladle/core/documents';
import { ALCOHOL_UNIT_ROWS, SHIPPED_TABLES } from '@big-ladle/core/tables';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { houseOf } from '../../shared/house.ts';
import { pickWords } from '../../shared/pickWords.ts';
import { QuantityField } from '../../shared/QuantityField.tsx';
import type { SaveKitchen } from '../../shared/saveKitchen.ts';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { has, say, sayCode } from '../../words/say.ts';

/** Fruit that go in as the juice of whole ones. */
const WHOLE = ['lime', 'lemon', 'orange', 'pineapple', 'apple', 'watermelon'];
/** What may move a balance: sweeteners, liquids, whole fruit. */
const ADDABLE = [...SHIPPED_TABLES.sweeteners.keys(), ...SHIPPED_TABLES.liquids.keys(), ...WHOLE];

const nameOf = (id: string): string =>
  WHOLE.includes(id) && has(`fruit.${id}`)
    ? say('housePanel.whole', { what: sayCode(`fruit.${id}`) })
    : sayItem(id);

/** What this house has settled about its drinks: limits that are pointed out, and what may be added. */
export function HousePanel({ kitchen, save }: { kitchen: Kitchen; save: SaveKitchen }) {
  const house = houseOf(kitchen);
  const put = (change: Partial<House>) => void save((k) => ({ house: { ...houseOf(k), ...change } }));
  return (
    <Panel title={say('housePanel.thisHouse')} aside={say('housePanel.pointedOutWhereIt')}>
      <Box sx={{ display: 'grid', gap: 2, mt: 1 }}>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          <QuantityField
            label={say('housePanel.freeSugarsInA')}
            value={house.freeSugarGPerGlass}
            min={1}
            max={200}
            decimals={0}
            unit="g"
            fixedUnit
            width={290}
            onCommit={(v) => v !== house.freeSugarGPerGlass && put({ freeSugarGPerGlass: v })}
            testId="house-sugar"
          />
          {house.freeSugarGPerGlass !== null && (
            <Button onClick={() => put({ freeSugarGPerGlass: null })}>
              {say('housePanel.noLimitOfSugar')}
            </Button>
          )}
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          <QuantityField
            label={say('housePanel.citrusJuiceInA')}
            value={house.citrusMlPerL}
            min={1}
            max={500}
            decimals={0}
            unit="mL"
            fixedUnit
            width={290}
            helper={say('housePanel.forSensitiveStomachs')}
            onCommit={(v) => v !== house.citrusMlPerL && put({ citrusMlPerL: v })}
          />
          {house.citrusMlPerL !== null && (
            <Button onClick={() => put({ citrusMlPerL: null })}>{say('housePanel.noLimitOfCitrus')}</Button>
          )}
        </Box>
        <TextField
          select
          label={say('housePanel.alcoholIsCountedIn')}
          value={house.alcoholUnitId}
          onChange={(e) => put({ alcoholUnitId: e.target.value })}
        >
          {ALCOHOL_UNIT_ROWS.map((row) => (
            <MenuItem key={row.id} value={row.id}>
              {sayCode(`alcoholUnit.${row.id}`)}
            </MenuItem>
          ))}
        </TextField>
        <Autocomplete
          {...pickWords()}
          multiple
          options={ADDABLE}
          value={[...house.allows]}
          getOptionLabel={nameOf}
          onChange={(_, ids) => put({ allows: ids })}
          renderInput={(params) => <TextField {...params} label={say('housePanel.mayBeAddedTo')} />}
        />
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
          {say('housePanel.theFirstSweetenerIs')}
        </Box>
      </Box>
    </Panel>
  );
}

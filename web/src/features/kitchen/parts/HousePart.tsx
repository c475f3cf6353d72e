import '../../../words/places/kitchen.ts';
import { DATE_ORDERS, FIRST_DAYS } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import { Panel } from '../../../shared/ui.tsx';
import { longWeekdayName, say } from '../../../words/say.ts';
import { AwayPanel } from '../AwayPanel.tsx';
import { HousePanel } from '../HousePanel.tsx';
import { TariffPanel } from '../TariffPanel.tsx';

import type { PartProps } from './rowsOf.tsx';
import { SelectField } from './SelectField.tsx';

/** What this house minds, when nobody stands at the stove, and how dates are written. */
export function HousePart({ kitchen, save }: PartProps) {
  const zones = Intl.supportedValuesOf('timeZone');
  return (
    <>
      <HousePanel kitchen={kitchen} save={save} />
      <TariffPanel kitchen={kitchen} save={save} />
      <AwayPanel kitchen={kitchen} save={save} />
      <Panel title={say('kitchenPage.languageAndDates')}>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <SelectField
            label={say('kitchenPage.timeZone')}
            value={kitchen.zone}
            options={(zones.includes(kitchen.zone) ? zones : [kitchen.zone, ...zones]).map((z) => ({
              value: z,
              text: z.replaceAll('_', ' '),
            }))}
            onChange={(zone) => void save({ zone })}
          />
          <SelectField
            label={say('kitchen.dates')}
            value={kitchen.dateOrder}
            options={DATE_ORDERS.map((order) => ({ value: order, text: say(`dates.${order}`) }))}
            onChange={(value) => {
              const dateOrder = DATE_ORDERS.find((order) => order === value);
              if (dateOrder) void save({ dateOrder });
            }}
          />
          <SelectField
            label={say('kitchen.firstDay')}
            value={String(kitchen.firstDay)}
            options={FIRST_DAYS.map((day) => ({ value: String(day), text: longWeekdayName(day) }))}
            onChange={(value) => {
              const firstDay = FIRST_DAYS.find((day) => String(day) === value);
              if (firstDay !== undefined) void save({ firstDay });
            }}
          />
        </Box>
      </Panel>
    </>
  );
}

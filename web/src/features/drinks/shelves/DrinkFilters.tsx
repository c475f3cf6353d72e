import '../../../words/places/drinks.ts';
import { FAMILY_ROWS } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import { Link } from 'react-router';
import { Choice } from '../../../shared/Choice.tsx';
import type { namesLike } from '../../../shared/findName.ts';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayFamily } from '../../../words/plainNames.ts';
import { sayRich } from '../../../words/rich.ts';
import { say, sayCode } from '../../../words/say.ts';
import { SORT_IDS } from './drinkList.ts';
import { type DrinkFilter, FILTERS, HANDS, TIMES } from './filters.ts';

const familyName = (id: string): string => (FAMILY_ROWS.some((f) => f.id === id) ? sayFamily(id) : id);

/** By a name in any language, by time, by who will drink it, by what is in the house. */
export function DrinkFilters(props: {
  filter: DrinkFilter;
  name: string;
  onName: (name: string) => void;
  found: ReturnType<typeof namesLike>;
}) {
  const { sort, held, on, time, hands, put } = props.filter;
  return (
    <Panel sx={{ mb: 1.75 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-end' }}>
        <TextField
          label={say('drinksPage.aDrinkAPlant')}
          value={props.name}
          onChange={(e) => props.onName(e.target.value)}
          sx={{ width: 280 }}
          slotProps={{ htmlInput: { 'data-testid': 'find-name' } }}
        />
        <Choice
          label={say('drinksPage.readyWithin')}
          value={time.value}
          options={TIMES.map((t) => ({ value: t.value, text: say(t.text) }))}
          onChange={(v) => put('time', v)}
        />
        <Choice
          label={say('drinksPage.ofYourHandsAt')}
          value={hands.value}
          options={HANDS.map((t) => ({ value: t.value, text: say(t.text) }))}
          onChange={(v) => put('hands', v)}
        />
        <TextField
          select
          label={say('drinksPage.sort')}
          value={sort}
          onChange={(e) => put('sort', e.target.value === 'ready' ? '' : e.target.value)}
          slotProps={{ select: { native: true } }}
        >
          {SORT_IDS.map((s) => (
            <option key={s} value={s}>
              {say(`drinksPage.sort.${s}`)}
            </option>
          ))}
        </TextField>
      </Box>
      {props.found.length > 0 && (
        <Box sx={{ mt: 1 }} data-testid="found">
          {props.found.slice(0, 4).map((row) => (
            <Box key={row.family} sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
              <span>
                {sayRich('drinksPage.is', {
                  text: <strong>{row.text}</strong>,
                  familyName: familyName(row.family).toLowerCase(),
                })}
              </span>
              {row.falseFriend && (
                <Box component="span" sx={{ color: role('caution') }}>
                  {sayCode(`friend.${row.falseFriend}`)}
                </Box>
              )}
              {!held.includes(row.family) && (
                <Button size="small" onClick={() => put('held', [...held, row.family].join(','))}>
                  {say('drinksPage.iHaveIt')}
                </Button>
              )}
              <Button size="small" component={Link} to={`/drinks/facts/${row.family}`}>
                {say('drinksPage.facts')}
              </Button>
            </Box>
          ))}
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5, alignItems: 'center' }}>
        {FILTERS.map((f) => (
          <Chip
            key={f.id}
            label={say(f.text)}
            component="button"
            aria-pressed={on.has(f.id)}
            color={on.has(f.id) ? 'primary' : 'default'}
            variant={on.has(f.id) ? 'filled' : 'outlined'}
            onClick={() => {
              const next = new Set(on);
              if (!next.delete(f.id)) next.add(f.id);
              put('only', [...next].join(','));
            }}
            sx={{ minHeight: 36 }}
          />
        ))}
        {held.map((f) => (
          <Chip
            key={f}
            label={say('drinksPage.iHave', { familyName: familyName(f).toLowerCase() })}
            component="button"
            onClick={() => put('held', held.filter((h) => h !== f).join(','))}
            color="primary"
            sx={{ minHeight: 36 }}
          />
        ))}
      </Box>
    </Panel>
  );
}

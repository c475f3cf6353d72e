import '../../words/places/kitchen.ts';
import type { AwayHours, Kitchen } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { ClockField } from '../../shared/dates/ClockField.tsx';
import type { SaveKitchen } from '../../shared/saveKitchen.ts';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { say, weekdayName } from '../../words/say.ts';

const WEEK = [0, 1, 2, 3, 4, 5, 6];
const FRESH: Record<AwayHours['kind'], AwayHours> = {
  asleep: { kind: 'asleep', days: WEEK, fromMin: 22 * 60 + 30, toMin: 6 * 60 + 30 },
  away: { kind: 'away', days: [1, 2, 3, 4, 5], fromMin: 8 * 60, toMin: 17 * 60 },
};

/** The days of a week, beginning with the one that this kitchen begins with. */
const weekFrom = (first: number): number[] => WEEK.map((day) => (day + first) % 7);

/** When nobody stands at the stove: a plan calls the cook outside of these hours only. */
export function AwayPanel({ kitchen, save }: { kitchen: Kitchen; save: SaveKitchen }) {
  const { away } = kitchen;
  const put = (index: number, change: Partial<AwayHours>) =>
    void save((k) => ({ away: k.away.map((a, i) => (i === index ? { ...a, ...change } : a)) }));
  return (
    <Panel title={say('awayPanel.yourHours')} aside={say('awayPanel.aPlanKeepsOut')}>
      {away.map((hours, index) => {
        const name = say(`away.${hours.kind}`);
        return (
          <Box
            // biome-ignore lint/suspicious/noArrayIndexKey: hours have no name of their own
            key={index}
            data-testid="away-hours"
            sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', py: 0.75 }}
          >
            <Box sx={{ minWidth: 64 }}>{name}</Box>
            <ClockField
              label={say('awayPanel.from', { name })}
              minutes={hours.fromMin}
              onCommit={(fromMin) => put(index, { fromMin })}
            />
            <span>{say('awayPanel.to')}</span>
            <ClockField
              label={say('awayPanel.to2', { name })}
              minutes={hours.toMin}
              onCommit={(toMin) => put(index, { toMin })}
            />
            <ToggleButtonGroup
              size="small"
              value={[...hours.days]}
              onChange={(_, days: number[]) => put(index, { days })}
              aria-label={say('awayPanel.on', { name })}
            >
              {weekFrom(kitchen.firstDay).map((day) => (
                <ToggleButton key={day} value={day} sx={{ minWidth: 40, px: 0.75 }}>
                  {weekdayName(day)}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <Button
              size="small"
              aria-label={say('common.remove', { name })}
              onClick={() => void save((k) => ({ away: k.away.filter((_, i) => i !== index) }))}
            >
              {say('common.remove2')}
            </Button>
          </Box>
        );
      })}
      {away.length === 0 && <Box sx={{ color: role('inkMuted') }}>{say('awayPanel.sayWhenYouSleep')}</Box>}
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        {(['asleep', 'away'] as const).map((kind) => (
          <Button
            key={kind}
            variant="outlined"
            onClick={() => void save((k) => ({ away: [...k.away, FRESH[kind]] }))}
          >
            {say(`away.add.${kind}`)}
          </Button>
        ))}
      </Box>
    </Panel>
  );
}

import '../../../words/places/gatherings.ts';
import type { Helper, Kitchen } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { v7 as uuid } from 'uuid';
import { MomentField } from '../../../shared/dates/MomentField.tsx';
import type { GatheringChange } from '../../../shared/gatherings/gatherings.ts';
import { WordsField } from '../../../shared/WordsField.tsx';
import { heading } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';

/** Somebody who helps comes in the afternoon, as a rule. */
const BEFORE_MS = 4 * 3_600_000;

/** Who else lends a hand, and from when until when. */
export const SettleHelpers = memo(function SettleHelpers(props: {
  helpers: readonly Helper[];
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { helpers, kitchen, nowMs, onChange } = props;
  const change = (id: string, by: Partial<Helper>) =>
    onChange((g) => ({ ...g, helpers: g.helpers.map((h) => (h.id === id ? { ...h, ...by } : h)) }));
  return (
    <Box data-testid="settle-helpers">
      <Box sx={{ ...heading, mb: 1 }}>{say('settle.helpers')}</Box>
      {helpers.map((helper) => (
        <Box key={helper.id} sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'end', mb: 1 }}>
          <WordsField
            label={say('settle.groupName')}
            value={helper.name}
            onCommit={(name) => change(helper.id, { name })}
          />
          <MomentField
            label={say('settle.helperFrom')}
            ms={helper.fromMs}
            kitchen={kitchen}
            nowMs={nowMs}
            onChange={(fromMs) => fromMs !== null && change(helper.id, { fromMs })}
          />
          <MomentField
            label={say('settle.helperTo')}
            ms={helper.toMs}
            kitchen={kitchen}
            nowMs={nowMs}
            onChange={(toMs) => toMs !== null && change(helper.id, { toMs })}
          />
          <Button
            size="small"
            color="error"
            onClick={() => onChange((g) => ({ ...g, helpers: g.helpers.filter((h) => h.id !== helper.id) }))}
          >
            {say('settle.takeAway')}
          </Button>
        </Box>
      ))}
      <Button
        variant="outlined"
        onClick={() =>
          onChange((g) => ({
            ...g,
            helpers: [
              ...g.helpers,
              {
                id: uuid(),
                name: say('settle.helperName'),
                fromMs: g.servesAtMs - BEFORE_MS,
                toMs: g.servesAtMs,
              },
            ],
          }))
        }
      >
        {say('settle.addHelper')}
      </Button>
    </Box>
  );
});

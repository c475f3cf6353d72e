import '../../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import type { FeastTimes, Sized } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { useNavigate } from 'react-router';
import type { GatheringChange } from '../../../shared/gatherings/gatherings.ts';
import { tellError, useSend } from '../../../shared/send.ts';
import { Panel } from '../../../shared/ui.tsx';
import { WordsField } from '../../../shared/WordsField.tsx';
import { say } from '../../../words/say.ts';
import { SettleDrinks } from './SettleDrinks.tsx';
import { eveningOf, SettleEvening } from './SettleEvening.tsx';
import { SettleGifts } from './SettleGifts.tsx';
import { SettleGroups } from './SettleGroups.tsx';
import { SettleHelpers } from './SettleHelpers.tsx';

/** Everything that a cook says of a gathering; all else on its page follows from it. */
export function Settle(props: {
  id: string;
  version: number;
  gathering: GatheringDoc;
  sized: Sized | null;
  times: FeastTimes | null;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { id, version, gathering, sized, times, kitchen, nowMs, onChange } = props;
  const drop = useSend('dropGathering');
  const navigate = useNavigate();
  return (
    <Panel title={say('settle.title')} testId="settle">
      <Box sx={{ display: 'grid', gap: 3 }}>
        <SettleGroups groups={gathering.groups} onChange={onChange} />
        <SettleDrinks
          drinks={gathering.drinks}
          sized={sized}
          times={times}
          kitchen={kitchen}
          nowMs={nowMs}
          onChange={onChange}
        />
        <SettleEvening {...eveningOf(gathering)} {...{ kitchen, nowMs, onChange }} />
        <SettleGifts gifts={gathering.gifts} drinks={gathering.drinks} sized={sized} onChange={onChange} />
        <SettleHelpers helpers={gathering.helpers} kitchen={kitchen} nowMs={nowMs} onChange={onChange} />
        <Notes notes={gathering.notes} onChange={onChange} />
        <Box>
          <Button
            color="error"
            disabled={drop.isPending || version === 0}
            onClick={() =>
              drop.mutate(
                { params: { id }, query: { version } },
                { onSuccess: () => navigate('/gatherings'), onError: (error) => tellError(error) },
              )
            }
          >
            {say('settle.drop')}
          </Button>
        </Box>
      </Box>
    </Panel>
  );
}

/** What the cook notes of it: drawn again only where it changes. */
const Notes = memo(function Notes(props: { notes: string; onChange: (change: GatheringChange) => void }) {
  const { notes, onChange } = props;
  return (
    <WordsField
      label={say('settle.notes')}
      value={notes}
      empty
      lines
      onCommit={(words) => onChange((g) => ({ ...g, notes: words }))}
    />
  );
});

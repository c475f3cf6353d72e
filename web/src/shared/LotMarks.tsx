import {
  audienceOf,
  cautionsOf,
  cautionTags,
  type LotMark,
  SHIPPED_TABLES,
  type Tables,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import { say } from '../words/say.ts';
import { Caution } from './ui.tsx';

/** What a lot is marked with, and who is to be told before a glass of it is poured. */
export function LotMarks(props: {
  marks: readonly LotMark[];
  /** Everything that went in; without it the marks alone say who is to be told. */
  itemIds?: readonly string[];
  sourGPerL?: number;
  tables?: Tables;
}) {
  const { marks, itemIds = [], sourGPerL = 0, tables = SHIPPED_TABLES } = props;
  const rows =
    itemIds.length > 0
      ? cautionsOf(cautionTags({ marks, itemIds, sourGPerL, tables }))
      : cautionsOf(new Set<string>(marks));
  const told = audienceOf(rows);
  if (marks.length === 0 && told.length === 0) return null;
  return (
    <Box data-testid="marks" sx={{ display: 'grid', gap: 0.75 }}>
      {marks.length > 0 && <Box>{marks.map((m) => say(`mark.${m}`)).join(', ')}.</Box>}
      {told.length > 0 && (
        <Caution
          severity="caution"
          word="Say so first"
          text={`${told.map((a) => say(`audience.${a}`)).join(', ')}. ${say('audience.defer')}`}
        />
      )}
    </Box>
  );
}

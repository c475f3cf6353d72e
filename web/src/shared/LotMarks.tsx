import '../words/places/steps.ts';
import { audienceOf, cautionsOf, marksOf } from '@big-ladle/core/balance';
import type { Tag } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { role } from '../theme/theme.ts';
import { say, sayCode } from '../words/say.ts';
import { Caution } from './ui.tsx';

/** What a drink is marked with, and who is to be told before a glass of it is poured. */
export function LotMarks({ tags }: { tags: Iterable<Tag> }) {
  const all = new Set(tags);
  const marks = marksOf(all);
  const told = audienceOf(cautionsOf(all));
  if (marks.length === 0 && told.length === 0) return null;
  return (
    <Box data-testid="marks" sx={{ display: 'grid', gap: 0.75 }}>
      {marks.length > 0 && <Box>{marks.map((m) => say(`mark.${m}`)).join(', ')}.</Box>}
      {told.length > 0 && (
        <Caution
          severity="caution"
          word={say('lotMarks.saySoFirst')}
          text={`${told.map((a) => say(`audience.${a}`)).join(', ')}. ${say('audience.defer')}`}
        />
      )}
    </Box>
  );
}

/** Who should ask first, in sentences: one may be for several people. */
export const sayCautions = (tags: Iterable<Tag>): string[] => [
  ...new Set(cautionsOf(new Set(tags)).map((row) => sayCode(row.code))),
];

/** The same in sentences, calmly, where a drink is chosen and planned: each person once, with what it is about. */
export function WhoAsksFirst({ tags }: { tags: Iterable<Tag> }) {
  const sentences = sayCautions(tags);
  if (sentences.length === 0) return null;
  return (
    <Box data-testid="who-asks" sx={{ display: 'grid', gap: 0.5 }}>
      <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.25 }}>
        {sentences.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </Box>
      <Box sx={{ color: role('inkMuted') }}>{say('audience.defer')}</Box>
    </Box>
  );
}

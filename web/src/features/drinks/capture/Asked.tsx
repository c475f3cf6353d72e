import '../../../words/places/drinks.ts';
import { UNSEEN, type Unseen, unseenKey } from '@big-ladle/core/exchange';
import Box from '@mui/material/Box';
import { Choice } from '../../../shared/Choice.tsx';
import { say, timeOfDay } from '../../../words/say.ts';

/** What nobody saw is asked at the end; what is left unsaid stays unsaid. */
export function Asked(props: {
  unseen: readonly Unseen[];
  answers: Readonly<Record<string, string>>;
  zone: string;
  onAnswer: (key: string, value: string) => void;
}) {
  const { unseen, answers, zone, onAnswer } = props;
  if (!unseen.length) return null;
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }} data-testid="asked">
      {unseen.map((question) => (
        <Choice
          key={unseenKey(question)}
          label={say(`capturePage.ask.${question.kind}`, { time: timeOfDay(question.atMs, zone) })}
          value={answers[unseenKey(question)] ?? 'notSeen'}
          options={[...UNSEEN[question.kind], 'notSeen' as const].map((value) => ({
            value,
            text: say(`capturePage.answer.${value}`),
          }))}
          onChange={(value) => onAnswer(unseenKey(question), value)}
        />
      ))}
    </Box>
  );
}

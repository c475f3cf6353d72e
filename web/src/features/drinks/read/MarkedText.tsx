import '../../../words/places/drinks.ts';
import type { MarkedSpan } from '@big-ladle/core/exchange';
import Box from '@mui/material/Box';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import { MARK_STYLES } from './marks.ts';

/** The text as it came, with what became of each piece of it. A tap on a piece shows the fact that was read from it. */
export function MarkedText(props: {
  text: string;
  spans: readonly MarkedSpan[];
  /** The fact that is looked at: its words stand out. */
  focus: string | null;
  onFocus: (facts: readonly string[], words: string) => void;
}) {
  const { text, spans, focus, onFocus } = props;
  const pieces: React.ReactNode[] = [];
  let at = 0;
  for (const span of spans) {
    if (span.start > at) pieces.push(text.slice(at, span.start));
    const words = text.slice(span.start, span.end);
    const lit = focus !== null && span.facts.includes(focus);
    pieces.push(
      <Box
        component="span"
        key={span.start}
        data-mark={span.mark}
        onClick={() => onFocus(span.facts, words)}
        sx={{
          ...MARK_STYLES[span.mark],
          ...(lit ? { bgcolor: role('cautionGround') } : {}),
          cursor: 'pointer',
          ...(span.mark === 'read' ? { color: role('ink') } : {}),
        }}
      >
        {span.mark === 'notUnderstood' && (
          <Box component="span" sx={HIDDEN}>
            {say('readPage.notUnderstoodHere')}
          </Box>
        )}
        {words}
      </Box>,
    );
    at = span.end;
  }
  pieces.push(text.slice(at));
  return (
    <Box
      data-testid="marked-text"
      sx={{
        whiteSpace: 'pre-wrap',
        overflowWrap: 'anywhere',
        color: role('inkMuted'),
        fontSize: '1.05rem',
        lineHeight: 1.9,
      }}
    >
      {pieces}
    </Box>
  );
}

/** Read out, not shown. */
const HIDDEN = {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  clip: 'rect(0 0 0 0)',
  whiteSpace: 'nowrap',
} as const;

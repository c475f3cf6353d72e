import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';

/** So many lines are shown where a field cannot grow with its words. */
const ROWS = 2;
/** Nothing was typed for so long: it is told. */
const PAUSE_MS = 400;

/**
 * Words, shown as they are typed and told when the field is left: what hangs on them is not worked out for each letter.
 * @param whileTyping they are told after a pause too, for what is kept while it is written.
 */
export function WordsField(props: {
  label: string;
  value: string;
  /** It may be left empty. */
  empty?: boolean;
  lines?: boolean;
  wide?: boolean;
  whileTyping?: boolean;
  maxLength?: number;
  helper?: string;
  /** What it is called where its label alone does not say of what it is. */
  named?: string;
  onCommit: (text: string) => void;
}) {
  const { label, value, empty, lines, wide, whileTyping, maxLength, helper, named, onCommit } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    setTyped(null);
    const text = typed?.trim();
    if (text !== undefined && text !== value && (empty || text !== '')) onCommit(text);
  };
  const last = useRef(commit);
  last.current = commit;
  useEffect(() => {
    if (!whileTyping || typed === null) return;
    // A space at the end stays while a word is to follow.
    if (typed !== typed.trim()) return;
    const later = setTimeout(() => last.current(), PAUSE_MS);
    return () => clearTimeout(later);
  }, [whileTyping, typed]);
  // A field that goes away while it is written in has been left.
  useEffect(() => () => last.current(), []);
  return (
    <TextField
      label={label}
      value={typed ?? value}
      multiline={lines ?? false}
      {...(lines && { rows: ROWS })}
      fullWidth={wide ?? false}
      helperText={helper}
      slotProps={{
        htmlInput: {
          ...(maxLength && { maxLength }),
          ...(named && { 'aria-label': named }),
          // Where the browser can, it grows with its words by itself: measured by us it would be at each drawing.
          ...(lines && { style: { fieldSizing: 'content', minHeight: '1lh' } }),
        },
      }}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter' && !lines) commit();
      }}
    />
  );
}

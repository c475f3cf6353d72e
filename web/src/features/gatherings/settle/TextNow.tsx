import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** Words that are stored when the field is left: what is typed stays until then. */
export function TextNow(props: {
  label: string;
  value: string;
  /** It may be left empty. */
  empty?: boolean;
  lines?: boolean;
  onCommit: (text: string) => void;
}) {
  const { label, value, empty, lines, onCommit } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const text = typed?.trim();
    setTyped(null);
    if (text !== undefined && text !== value && (empty || text !== '')) onCommit(text);
  };
  return (
    <TextField
      label={label}
      value={typed ?? value}
      multiline={lines ?? false}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter' && !lines) commit();
      }}
    />
  );
}

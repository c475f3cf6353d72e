import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { sayItem } from '../words/names.ts';
import { pickWords } from './pickWords.ts';

/** One of many things, found by typing a part of its name. */
export function PickItem(props: {
  label: string;
  ids: readonly string[];
  value: string;
  onPick: (id: string) => void;
  /** Where thumbs are wet. */
  large?: boolean;
}) {
  return (
    <Autocomplete
      {...pickWords()}
      options={[...props.ids]}
      value={props.value}
      disableClearable
      getOptionLabel={sayItem}
      onChange={(_, id) => props.onPick(id)}
      sx={
        props.large
          ? {
              flex: '1 1 240px',
              '& .MuiAutocomplete-endAdornment button': { minWidth: 44, minHeight: 44 },
            }
          : {}
      }
      renderInput={(params) => <TextField {...params} label={props.label} />}
    />
  );
}

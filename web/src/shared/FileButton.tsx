import Button from '@mui/material/Button';
import type { SxProps } from '@mui/material/styles';
import { type ReactNode, useRef } from 'react';

/** A button that asks for a file. */
export function FileButton(props: {
  label: string;
  accept: string;
  testId: string;
  sx?: SxProps;
  icon?: ReactNode;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        variant="outlined"
        sx={props.sx ?? {}}
        startIcon={props.icon}
        onClick={() => input.current?.click()}
      >
        {props.label}
      </Button>
      <input
        ref={input}
        type="file"
        accept={props.accept}
        hidden
        data-testid={props.testId}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) props.onFile(file);
        }}
      />
    </>
  );
}

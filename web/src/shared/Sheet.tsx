import Box from '@mui/material/Box';
import type { ReactNode, Ref } from 'react';
import { createPortal } from 'react-dom';

/** How a sheet stands: on paper only, or beside the screen while a picture is made of it. */
export interface SheetPlace {
  picture: boolean;
  ref?: Ref<HTMLDivElement>;
}

/** As wide as a page between its margins, px of paper. */
export const PAPER_PX = 700;
/** Beside the screen, where nobody sees it. */
const BESIDE = { display: 'block', position: 'fixed', left: -10_000, top: 0 } as const;

/** One page of paper, in the place of the screen where it is printed. */
export function Sheet(props: { place: SheetPlace; testId: string; fontSize: string; children: ReactNode }) {
  const { place, testId, fontSize, children } = props;
  return createPortal(
    // Paper is white: the colours are those of the day.
    <Box className="sheet" data-scheme="light" sx={place.picture ? BESIDE : undefined}>
      <Box
        ref={place.ref}
        data-testid={testId}
        sx={{
          color: '#000',
          fontSize,
          lineHeight: 1.35,
          width: PAPER_PX,
          p: place.picture ? '8mm' : 0,
          boxSizing: 'content-box',
        }}
      >
        {children}
      </Box>
    </Box>,
    document.body,
  );
}

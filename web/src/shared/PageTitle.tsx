import Typography, { type TypographyProps } from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { say } from '../words/say.ts';

/** The page whose heading had the focus last: the first one leaves it where the browser put it. */
const arrived: { at: string | null } = { at: null };

/**
 * The heading of a page. It gives the window its title, and after a change of page it takes the focus, so that the next
 * key or word read out is about what is there now.
 */
export function PageTitle({ title, sx, own }: { title: string; sx?: TypographyProps['sx']; own?: boolean }) {
  const ref = useRef<HTMLHeadingElement>(null);
  const { pathname } = useLocation();
  useEffect(() => {
    if (!own) document.title = say('frame.bigLadle', { page: title });
  }, [title, own]);
  useEffect(() => {
    if (arrived.at !== null && arrived.at !== pathname) ref.current?.focus({ preventScroll: true });
    arrived.at = pathname;
  }, [pathname]);
  return (
    <Typography ref={ref} variant="h1" tabIndex={-1} data-page-title {...(sx ? { sx } : {})}>
      {title}
    </Typography>
  );
}

import { lazy, Suspense, useEffect } from 'react';
import { useOverlay } from '../shared/help.ts';

const FindDialog = lazy(() =>
  import('../features/find/FindDialog.tsx').then((m) => ({ default: m.FindDialog })),
);
const HelpDialog = lazy(() =>
  import('../features/find/HelpDialog.tsx').then((m) => ({ default: m.HelpDialog })),
);
const WaitingDialog = lazy(() =>
  import('../features/waiting/WaitingDialog.tsx').then((m) => ({ default: m.WaitingDialog })),
);

/** Keys go to the field that is being typed in, and to nothing else. */
const TYPING = 'input, textarea, select, [contenteditable], [role="combobox"]';

/** The search ("/"), the help ("?") and what waits, over whichever page is open. */
export function Overlays() {
  const { open, term, find, help, close } = useOverlay();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof Element && event.target.closest(TYPING)) return;
      if (event.key === '/') {
        event.preventDefault();
        find();
      } else if (event.key === '?') {
        event.preventDefault();
        help();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [find, help]);
  return (
    <Suspense>
      {open === 'find' && <FindDialog onClose={close} />}
      {open === 'waiting' && <WaitingDialog onClose={close} />}
      {open === 'help' && <HelpDialog term={term} onClose={close} />}
    </Suspense>
  );
}

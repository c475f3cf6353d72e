import { useState } from 'react';
import { flushSync } from 'react-dom';

/** Printing a sheet that stands only while it is printed. */
export function usePrint(): { printing: boolean; print: () => void } {
  const [printing, setPrinting] = useState(false);
  const print = () => {
    window.addEventListener('afterprint', () => setPrinting(false), { once: true });
    flushSync(() => setPrinting(true));
    window.print();
  };
  return { printing, print };
}

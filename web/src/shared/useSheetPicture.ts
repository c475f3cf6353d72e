import { type RefObject, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { say } from '../words/say.ts';
import { notify } from './notices.ts';
import { saveBlob } from './saveText.ts';

/** Drawn at twice its size, so that small letters stay sharp on a phone. */
const PIXEL_RATIO = 2;

/**
 * A sheet of paper as a picture (PNG). It stands beside the screen only while it is drawn; what draws is fetched when
 * it is first asked for.
 */
export function useSheetPicture(fileName: string): {
  drawing: boolean;
  ref: RefObject<HTMLDivElement | null>;
  save: () => Promise<void>;
} {
  const [drawing, setDrawing] = useState(false);
  const ref = useRef<HTMLDivElement>(null);
  const save = async () => {
    try {
      const { toBlob } = await import('html-to-image');
      flushSync(() => setDrawing(true));
      const blob =
        ref.current && (await toBlob(ref.current, { pixelRatio: PIXEL_RATIO, backgroundColor: '#ffffff' }));
      if (!blob) throw new Error('nothing was drawn');
      saveBlob(fileName, blob);
    } catch {
      notify('error', say('textOut.noPicture'));
    } finally {
      setDrawing(false);
    }
  };
  return { drawing, ref, save };
}

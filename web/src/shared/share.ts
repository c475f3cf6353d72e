import { toClipboard } from './copyText.ts';
import { notify } from './notices.ts';
import { saveText } from './saveText.ts';

/** Whether this browser has a share sheet of its system's. */
export const canShare = (): boolean => typeof navigator.share === 'function';

/**
 * Hands text to the system's own share sheet. Where there is none, or it refuses, the text is copied; a page that may do
 * neither, as in the home network without a certificate, saves it as a file.
 */
export async function shareText(title: string, text: string, copied: string): Promise<void> {
  if (canShare())
    try {
      await navigator.share({ title, text });
      return;
    } catch (error) {
      // The cook closed the sheet: nothing else is wanted.
      if (error instanceof DOMException && error.name === 'AbortError') return;
    }
  if (await toClipboard(text)) notify('success', copied);
  else saveText(`${title}.txt`, text, 'text/plain');
}

import { say } from '../words/say.ts';
import { notify } from './notices.ts';

/**
 * Copies text, and says so; where the browser does not let a page copy (over plain http it has no clipboard at all), it
 * says what works instead.
 */
export async function copyText(text: string, copied: string): Promise<void> {
  if (await toClipboard(text)) notify('success', copied);
  else notify('error', say('textOut.thisBrowserDoesNot'));
}

/** @returns whether the browser let the page copy. */
export async function toClipboard(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

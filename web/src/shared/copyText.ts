import { say } from '../words/say.ts';
import { notify } from './notices.ts';

/**
 * Copies text, and says so; where the browser does not let a page copy (over plain http it has no clipboard at all), it
 * says what works instead.
 */
export async function copyText(text: string, copied: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
  } catch {
    notify('error', say('textOut.thisBrowserDoesNot'));
    return;
  }
  notify('success', copied);
}

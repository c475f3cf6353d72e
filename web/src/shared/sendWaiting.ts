/**
 * Sends what waits in this browser, one thing after the other, never twice at a time; tries again by itself while the server
 * cannot be reached.
 * @param next the first that waits, as a way to send it; null: nothing does. It throws where it cannot be stored at present.
 * @param onReach is told whether the server could be reached with it.
 */
export function sendsWaiting(
  next: () => (() => Promise<void>) | null,
  onReach: (unreachable: boolean) => void,
  retryMs: number,
): () => Promise<void> {
  let sending = false;
  let again: ReturnType<typeof setTimeout> | undefined;
  const send = async (): Promise<void> => {
    if (sending) return;
    sending = true;
    clearTimeout(again);
    try {
      for (let one = next(); one; one = next()) await one();
      onReach(false);
    } catch {
      onReach(true);
      again = setTimeout(() => void send(), retryMs);
    } finally {
      sending = false;
    }
  };
  return send;
}

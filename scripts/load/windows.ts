import { type LogEvent, touchedBy } from '@big-ladle/core/log';
import { Client } from './kitchen.ts';

/**
 * Windows that listen and fetch as the page does: after each entry what it makes stale, each of that once at a time, and
 * once more when something came meanwhile.
 */
export class Windows {
  private readonly stops = new AbortController();
  heard = 0;
  fetched = 0;

  constructor(private readonly url: string) {}

  async open(count: number): Promise<void> {
    await Promise.all(
      Array.from({ length: count }, (_, i) => this.openOne(new Client(this.url, `window-${i}`))),
    );
  }

  close(): void {
    this.stops.abort();
  }

  private async openOne(client: Client): Promise<void> {
    const { signal } = this.stops;
    const answer = await fetch(`${this.url}/api/stream`, { signal });
    const stale = new Set<string>();
    const running = new Set<string>();
    const refetch = async (path: string): Promise<void> => {
      stale.add(path);
      if (running.has(path)) return;
      running.add(path);
      while (stale.delete(path) && !signal.aborted) {
        this.fetched++;
        await client.ask('GET', path).catch(() => undefined);
      }
      running.delete(path);
    };
    // The entry itself comes with the message: a batch need not be fetched for it.
    const paths = {
      batch: null,
      batches: '/batches',
      items: '/items',
      gifts: '/gifts',
      purchases: null,
    };
    void (async () => {
      let rest = '';
      const decoder = new TextDecoder();
      for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>) {
        rest += decoder.decode(chunk, { stream: true });
        const messages = rest.split('\n\n');
        rest = messages.pop() ?? '';
        for (const message of messages) {
          if (!message.includes('event: log')) continue;
          this.heard++;
          const event = JSON.parse(/^data: (.*)$/m.exec(message)![1]!) as LogEvent;
          for (const touched of touchedBy([event])) {
            const path = paths[touched];
            if (path) void refetch(path);
          }
        }
      }
    })().catch(() => undefined);
  }
}

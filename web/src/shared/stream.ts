import type { LogEvent } from '@big-ladle/core';
import { bookKey } from './book.ts';
import { flush } from './outbox.ts';
import { useOutbox } from './outboxStore.ts';
import { keys, queryClient, takeEvents } from './queries.ts';
import { takeReadings } from './readings.ts';
import { serverTimeIs } from './time.ts';

/** A stream that the browser has given up is opened anew after this. */
const AGAIN_MS = 1500;

/**
 * One event stream for this window. The browser reconnects by itself and resumes after the last event it saw; an answer
 * that is no stream makes it give up, and then a new one is opened.
 */
export function startStream(comesBack = false): void {
  const source = new EventSource('/api/stream');
  let lost = comesBack;
  source.addEventListener('open', () => {
    useOutbox.setState({ offline: false });
    void flush();
    if (!lost) return;
    lost = false;
    // Documents carry no seq: fetch what may have changed meanwhile.
    void queryClient.invalidateQueries();
  });
  source.addEventListener('error', () => {
    lost = true;
    useOutbox.setState({ offline: true });
    if (source.readyState === EventSource.CLOSED) setTimeout(() => startStream(true), AGAIN_MS);
  });
  source.addEventListener('time', (message) => {
    serverTimeIs((JSON.parse((message as MessageEvent<string>).data) as { nowMs: number }).nowMs);
  });
  source.addEventListener('log', (message) => {
    takeEvents([JSON.parse((message as MessageEvent<string>).data) as LogEvent]);
  });
  source.addEventListener('reading', (message) => {
    takeReadings(JSON.parse((message as MessageEvent<string>).data));
  });
  source.addEventListener('doc', (message) => {
    const change = JSON.parse((message as MessageEvent<string>).data) as {
      doc: 'kitchen' | 'batch' | 'recipe' | 'instrument';
      id: string;
    };
    if (change.doc === 'recipe') void queryClient.invalidateQueries({ queryKey: bookKey });
    else if (change.doc === 'instrument') {
      void queryClient.invalidateQueries({ queryKey: keys.instruments });
      void queryClient.invalidateQueries({ queryKey: keys.fridge });
    } else if (change.doc === 'kitchen') void queryClient.invalidateQueries({ queryKey: keys.kitchen });
    else {
      void queryClient.invalidateQueries({ queryKey: keys.batch(change.id) });
      void queryClient.invalidateQueries({ queryKey: keys.batches });
      void queryClient.invalidateQueries({ queryKey: keys.rehearsals });
    }
  });
}

import { type DocChange, docChangeSchema, readingsSchema, timeSchema } from '@big-ladle/core/contract';
import { readStored } from '@big-ladle/core/log';
import { MINUTE_MS } from '@big-ladle/core/units';
import * as v from 'valibot';
import { duration, say } from '../words/say.ts';
import { notify } from './notices.ts';
import { flush } from './outbox.ts';
import { useOutbox } from './outboxStore.ts';
import { fetchAnew, keys, queryClient, takeEvents } from './queries.ts';
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
  const hear = <S extends v.GenericSchema>(
    name: string,
    schema: S,
    take: (message: v.InferOutput<S>) => void,
  ): void =>
    source.addEventListener(name, (message: MessageEvent<string>) => {
      const read = v.safeParse(schema, JSON.parse(message.data));
      if (read.success) take(read.output);
    });
  hear('time', timeSchema, ({ nowMs, jumpMs }) => {
    serverTimeIs(nowMs);
    if (jumpMs !== undefined)
      notify(
        'info',
        say(jumpMs > 0 ? 'common.clockForwards' : 'common.clockBack', {
          by: duration(Math.abs(jumpMs) / MINUTE_MS),
        }),
      );
  });
  hear('log', v.unknown(), (written) => {
    const event = readStored(written);
    if (event) takeEvents([event]);
  });
  hear('reading', readingsSchema, takeReadings);
  hear('doc', docChangeSchema, (change) => {
    void fetchAnew(staleDocuments(change));
  });
}

/** Queries whose answers a changed document has made old. */
function staleDocuments({ doc, id }: DocChange): (readonly string[])[] {
  switch (doc) {
    case 'kitchen':
      return [keys.kitchen, keys.lookedBack];
    case 'recipe':
      return [keys.recipes];
    case 'stock':
      return [keys.stock, keys.lookedBack];
    case 'gathering':
      return [keys.gatherings];
    case 'learning':
      // With what a batch tells comes what it cost.
      return [keys.learning, keys.lookedBack];
    case 'photo':
      return [keys.photosOf(id)];
    case 'instrument':
      return [keys.instruments, keys.fridge];
    case 'batch':
      return [keys.batch(id), keys.batches, keys.rehearsals];
    case 'everything':
      return [[]];
  }
}

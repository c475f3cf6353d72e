import { type KitchenDoc, ROUTES } from '@big-ladle/core/contract';
import { type LogEvent, type Touched, touchedBy } from '@big-ladle/core/log';
import { QueryClient, useQuery } from '@tanstack/react-query';
import { knowNames } from '../words/names.ts';
import { writeDates } from '../words/numbers.ts';
import { speakUnits } from '../words/quantities.ts';
import { ApiError, ask } from './api.ts';
import { asShown } from './kitchenChanges.ts';
import { storedSoFar } from './outboxStore.ts';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      // A device that was not let in is not let in at the third try either.
      retry: (failures, error) => failures < 2 && !(error instanceof ApiError && error.status === 401),
      retryDelay: 800,
      refetchOnWindowFocus: true,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

export const keys = {
  kitchen: ['kitchen'] as const,
  batches: ['batches'] as const,
  batch: (id: string) => ['batch', id] as const,
  /** All that was made and what became of it: the logbook's list, its years. */
  lookedBack: ['lookedBack'] as const,
  items: ['items'] as const,
  thing: (id: string) => ['items', 'thing', id] as const,
  thingEvents: (id: string) => ['items', 'thing', id, 'events'] as const,
  fridge: ['fridge'] as const,
  gifts: ['gifts'] as const,
  purchases: ['purchases'] as const,
  rehearsals: ['rehearsals'] as const,
  instruments: ['instruments'] as const,
  /** The cook's own recipes and ingredients. */
  recipes: ['recipes'] as const,
  versions: (id: string) => ['versions', id] as const,
  stock: ['stock'] as const,
  gatherings: ['gatherings'] as const,
  learning: ['learning'] as const,
  /** Pictures, and those of one thing. */
  photos: ['photos'] as const,
  photosOf: (ofId: string) => ['photos', ofId] as const,
  /** Who may come in and how; copies; an archive on its way in. */
  access: ['access'] as const,
  backups: ['backups'] as const,
  import: ['import'] as const,
  readings: (instrumentId: string, batchId: string) => ['readings', instrumentId, batchId] as const,
};

/** The kitchen as it stands from now on: dates and amounts are written its way, and what a label names goes by that name. */
export function takeKitchen(doc: KitchenDoc): KitchenDoc {
  const { dateOrder, labels = [] } = doc.kitchen;
  writeDates(dateOrder);
  speakUnits(doc.kitchen);
  // A corrected row keeps its own name.
  knowNames(
    [],
    labels.flatMap((l) => (l.id === l.like ? [] : [[l.id, l.name] as const])),
  );
  return doc;
}

export const useKitchen = () =>
  useQuery({
    queryKey: keys.kitchen,
    queryFn: async () => takeKitchen(asShown(await ask(ROUTES.kitchen, {}))),
  });

export const useInstruments = () =>
  useQuery({
    queryKey: keys.instruments,
    queryFn: () => ask(ROUTES.instruments, {}),
  });

/** Streams in which the deeds of a batch stand: its own, or that of its rehearsal. */
export const isBatchStream = (stream: LogEvent['stream']): boolean => stream.kind !== 'item';

/** An answer with how many entries of this window had been stored when it was asked for. */
async function marked<T extends object>(asked: () => Promise<T>): Promise<T & { heardOf: number }> {
  const heardOf = storedSoFar();
  return { ...(await asked()), heardOf };
}

export const useItems = () =>
  useQuery({ queryKey: keys.items, queryFn: () => marked(() => ask(ROUTES.items, {})) });

export const useThing = (id: string) =>
  useQuery({
    queryKey: keys.thing(id),
    queryFn: () => marked(() => ask(ROUTES.item, { params: { id } })),
  });

/** What has happened to one thing, for its history and for undo; what this window has heard already stays. */
export const useThingEvents = (id: string) =>
  useQuery({
    queryKey: keys.thingEvents(id),
    queryFn: async (): Promise<{ events: LogEvent[] }> => {
      const { events } = await ask(ROUTES.itemEvents, { params: { id } });
      const fetched = new Set(events.map((e) => e.id));
      const heard = queryClient.getQueryData<{ events: LogEvent[] }>(keys.thingEvents(id))?.events ?? [];
      return { events: [...events, ...heard.filter((e) => !fetched.has(e.id))] };
    },
  });

/** What the fridge's logger has read. It changes slowly; a look a minute is enough. */
export const useFridge = () =>
  useQuery({
    queryKey: keys.fridge,
    queryFn: () => ask(ROUTES.fridge, {}),
    refetchInterval: 60_000,
  });

/** What was poured of late, or since a moment. */
export const useUse = (sinceMs?: number) =>
  useQuery({
    queryKey: [...keys.items, 'use', sinceMs ?? 'late'],
    queryFn: () => ask(ROUTES.use, sinceMs === undefined ? {} : { query: { since: sinceMs } }),
  });

export const useGifts = () => useQuery({ queryKey: keys.gifts, queryFn: () => ask(ROUTES.gifts, {}) });

/**
 * What is shown of these is old: it is fetched anew. A first answer that is on its way already set out too early, and
 * would pass for new: it is let go.
 */
export async function fetchAnew(stale: readonly (readonly string[])[]): Promise<void> {
  await Promise.all(
    stale.map(async (queryKey) => {
      await queryClient.cancelQueries({ queryKey, predicate: ({ state }) => state.data === undefined });
      await queryClient.invalidateQueries({ queryKey });
    }),
  );
}

/** Takes events that the server has stored into what is shown, each once, and fetches anew what they touch. */
export function takeEvents(events: readonly LogEvent[]): void {
  for (const event of events) {
    const { id } = event.stream;
    queryClient.setQueryData<{ events: LogEvent[] }>(
      isBatchStream(event.stream) ? keys.batch(id) : keys.thingEvents(id),
      (doc) =>
        !doc || doc.events.some((e) => e.id === event.id) ? doc : { ...doc, events: [...doc.events, event] },
    );
  }
  void fetchAnew(staleAfter(events));
}

/** Queries whose answers these events have made old, as their rows in the event table say. */
export function staleAfter(events: readonly LogEvent[]): (readonly string[])[] {
  const stale: Record<Touched, readonly (readonly string[])[]> = {
    batch: events.filter((e) => isBatchStream(e.stream)).map((e) => keys.batch(e.stream.id)),
    batches: [keys.batches, keys.rehearsals, keys.lookedBack],
    items: [keys.items, keys.lookedBack],
    gifts: [keys.gifts],
    purchases: [keys.purchases],
  };
  return [...new Set([...touchedBy(events)].flatMap((touched) => stale[touched]))];
}

import { BOOK, defaultChoices } from '@big-ladle/core/book';
import type { BatchDoc } from '@big-ladle/core/contract';
import {
  EMPTY_KITCHEN,
  type Kitchen,
  type MethodId,
  type PlanDoc,
  type Recipe,
} from '@big-ladle/core/documents';
import type { EventBody, LogEvent } from '@big-ladle/core/log';
import { solvePlanDoc } from '@big-ladle/core/plan';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import { FakeServer } from './fakeServer.ts';

/** When tests of components begin unless they say otherwise: a Wednesday in autumn, in the evening, UTC. */
export const EVENING_MS = Date.UTC(2026, 10, 25, 17, 30);

export const KITCHEN: Kitchen = {
  ...EMPTY_KITCHEN,
  zone: 'UTC',
  pots: [
    { id: 'pot', name: 'Blue pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: 2900 },
  ],
  burners: [{ id: 'ring', name: 'Gas ring', kind: 'gas', powerW: 3000 }],
  bottles: [{ id: 'b750', name: 'Tall bottle', volumeMl: 750, diameterCm: 8, material: 'glass', count: 14 }],
};

export const planOf = (
  litres: number,
  methodId: MethodId = 'straightBoil',
  recipe: Recipe = BOOK[0]!,
): PlanDoc => ({
  recipeId: recipe.id,
  choices: defaultChoices(recipe, methodId),
  potId: 'pot',
  burnerId: 'ring',
  question: { kind: 'litres', litres },
  fills: 1,
  readyAtMs: null,
});

let written = 0;
/** Something that was said of a batch. */
export const said = (batchId: string, atMs: number, deed: EventBody): LogEvent =>
  ({
    id: `said-${++written}`,
    stream: { kind: 'batch', id: batchId },
    v: 1,
    atMs,
    deviceId: 'test',
    deviceSeq: written,
    ...deed,
  }) as LogEvent;

/** A plan that waits. */
export const plannedDoc = (id: string, plan: PlanDoc): BatchDoc => ({
  batch: { id, status: 'planned', plan, version: 1, pins: null, createdMs: 0, updatedMs: 0 },
  events: [],
});

/** A batch that was begun so long ago that the step of kind `until` begins at `atMs`; each step before it took ten minutes. */
export function begunDoc(id: string, until: string, atMs = EVENING_MS, plan = planOf(9)): BatchDoc {
  const recipe = BOOK.find((r) => r.id === plan.recipeId)!;
  const { program } = unwrap(solvePlanDoc(plan, BOOK, KITCHEN, SHIPPED_TABLES));
  const done = program.steps.slice(
    0,
    program.steps.findIndex((s) => s.kind === until),
  );
  let time = atMs - done.length * 600_000;
  const events = [said(id, time, { kind: 'stepStarted', body: { stepId: program.steps[0]!.id } })];
  for (const step of done) {
    time += 600_000;
    events.push(said(id, time, { kind: 'stepEnded', body: { stepId: step.id } }));
  }
  return {
    batch: {
      id,
      status: 'on',
      plan,
      version: 2,
      pins: { recipe, program, kitchen: KITCHEN, tablesVersion: SHIPPED_TABLES.version },
      createdMs: 0,
      updatedMs: 0,
    },
    events,
  };
}

/** A server that holds these batches, and takes what is said of them. */
export function kitchenServer(docs: readonly BatchDoc[], kitchen = KITCHEN): FakeServer {
  const byId = new Map(docs.map((d) => [d.batch.id, d]));
  const entries = (status?: string) =>
    [...byId.values()]
      .filter((d) => !status || d.batch.status === status)
      .map(({ batch: { pins: _, ...batch } }) => ({ batch, now: null }));
  return new FakeServer({
    kitchen: () => ({ version: 1, kitchen }),
    recipes: () => ({ recipes: [], ingredients: [] }),
    stock: () => ({ stock: [] }),
    items: () => ({ items: [], leftovers: [] }),
    fridge: () => ({ record: null }),
    instruments: () => ({ instruments: [] }),
    gatherings: () => ({ gatherings: [] }),
    batches: ({ query }) => ({ batches: query.rehearsals ? [] : entries(query.status), next: null }),
    batch: ({ params }) => byId.get(params.id!),
    events: ({ body }) => {
      const { events } = body as { events: LogEvent[] };
      for (const event of events) byId.get(event.stream.id)?.events.push(event);
      return { stored: events.map(({ id }, i) => ({ id, seq: i + 1 })), kept: events.map((e) => e.id) };
    },
  });
}

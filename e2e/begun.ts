import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { EMPTY_KITCHEN, type Kitchen, type MethodId, type PlanDoc } from '@big-ladle/core/documents';
import { solvePlanDoc } from '@big-ladle/core/plan';
import { SHIPPED_TABLES, type Tables } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import type { KitchenServer } from './server.ts';

export const KITCHEN: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: [
    { id: 'pot', name: 'Blue pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: 2900 },
    {
      id: 'small',
      name: 'Small pot',
      diameterCm: 20,
      heightCm: 16,
      material: 'stainless',
      lid: true,
      massG: null,
    },
  ],
  burners: [{ id: 'ring', name: 'Gas ring', kind: 'gas', powerW: 3000 }],
  bottles: [{ id: 'b750', name: 'Tall bottle', volumeMl: 750, diameterCm: 8, material: 'glass', count: 14 }],
};

export function planFor(litres: number, methodId: MethodId = 'straightBoil', recipe = BOOK[0]!): PlanDoc {
  return {
    recipeId: recipe.id,
    choices: defaultChoices(recipe, methodId),
    potId: 'pot',
    burnerId: 'ring',
    question: { kind: 'litres', litres },
    fills: 1,
    readyAtMs: null,
  };
}

interface PinnedStep {
  id: string;
  kind: string;
  until: { minutes?: number };
}

/** Puts a kitchen in, keeps a plan and begins it so long ago that the step of kind `until` begins now. */
export async function begun(
  server: KitchenServer,
  until: string,
  methodId: MethodId = 'straightBoil',
  recipe = BOOK[0]!,
  choices: Partial<PlanDoc['choices']> = {},
  kitchen: Kitchen = KITCHEN,
  tables: Tables = SHIPPED_TABLES,
): Promise<void> {
  const { version } = await server.api<{ version: number }>('GET', '/kitchen');
  await server.api('PUT', '/kitchen', { version, kitchen });
  const usual = planFor(9, methodId, recipe);
  const plan = { ...usual, choices: { ...usual.choices, ...choices } };
  await server.api('POST', '/batches', { id: 'batch', plan });
  const { program } = unwrap(solvePlanDoc(plan, [...BOOK, recipe], kitchen, tables));
  let seq = 0;
  const event = (kind: string, body: object, atMs: number) => ({
    id: `setup-${++seq}`,
    stream: { kind: 'batch', id: 'batch' },
    v: 1,
    atMs,
    deviceId: 'setup',
    deviceSeq: seq,
    kind,
    body,
  });
  const nowMs = server.nowMs();
  // Heating and cooling have no planned minutes: fifty each.
  const lengthMs = (step: PinnedStep) => (step.until.minutes ?? 50) * 60_000;
  const first = event('stepStarted', { stepId: program.steps[0]!.id }, nowMs - 24 * 3_600_000);
  const batch = await server.api<{ pins: { program: { steps: PinnedStep[] } } }>(
    'POST',
    '/batches/batch/start',
    { version: 1, events: [first] },
  );
  const { steps } = batch.pins.program;
  const done = steps.slice(
    0,
    steps.findIndex((s) => s.kind === until),
  );
  let atMs = nowMs - done.reduce((sum, s) => sum + lengthMs(s), 0);
  const events = [event('retimed', { target: first.id, toMs: atMs }, nowMs)];
  for (const step of done) {
    atMs += lengthMs(step);
    events.push(event('stepEnded', { stepId: step.id }, atMs));
  }
  await server.api('POST', '/events', { events });
}

/** Ends the steps of a batch from one on up to the bottling, a second each. */
export async function toTheBottles(
  server: KitchenServer,
  isFirst: (kind: string) => boolean,
  id = 'batch',
): Promise<void> {
  const { batch } = await server.api<{
    batch: { pins: { program: { steps: { id: string; kind: string }[] } } };
  }>('GET', `/batches/${id}`);
  const { steps } = batch.pins.program;
  const from = steps.findIndex((s) => isFirst(s.kind));
  await endSteps(
    server,
    steps.slice(
      from,
      steps.findIndex((s) => s.kind === 'bottle'),
    ),
    id,
  );
}

/** Another device ends some steps, a second each. */
export async function endSteps(
  server: KitchenServer,
  steps: readonly { id: string }[],
  batchId = 'batch',
): Promise<void> {
  await server.api('POST', '/events', {
    events: steps.map(({ id }, i) => ({
      id: `end-${id}`,
      stream: { kind: 'batch', id: batchId },
      v: 1,
      atMs: server.nowMs() - (steps.length - i) * 1000,
      deviceId: 'other',
      deviceSeq: i + 1,
      kind: 'stepEnded',
      body: { stepId: id },
    })),
  });
}

/** Three sizes of bottle. */
const THREE_SIZES = [
  { id: 'b-tall', name: 'Tall bottle', volumeMl: 750, diameterCm: 8, material: 'glass' as const, count: 6 },
  {
    id: 'b-litre',
    name: 'Litre jar',
    volumeMl: 1000,
    diameterCm: 9,
    material: 'glass' as const,
    count: 3,
    form: 'jar' as const,
    closure: 'swingTop' as const,
  },
  {
    id: 'b-small',
    name: 'Small flask',
    volumeMl: 330,
    diameterCm: 6,
    material: 'plastic' as const,
    count: 8,
  },
];

/** A batch that is about to be bottled, in a kitchen with three sizes. */
export async function toBottle(server: KitchenServer): Promise<void> {
  await begun(server, 'bottle');
  await server.api('PUT', '/kitchen', { version: 1, kitchen: { ...KITCHEN, bottles: THREE_SIZES } });
}

import { BOOK, defaultChoices } from '@big-ladle/core/book';
import type { Batch, BatchDoc } from '@big-ladle/core/contract';
import type { LogEvent } from '@big-ladle/core/log';

/** Asks a running kitchen. */
export class Client {
  private seq = 0;
  constructor(
    readonly url: string,
    private readonly device: string,
  ) {}

  async ask<T = unknown>(method: string, path: string, body?: unknown): Promise<T> {
    const answer = await fetch(`${this.url}/api${path}`, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text.slice(0, 300)}`);
    return (text ? JSON.parse(text) : null) as T;
  }

  /** A note: it changes nothing else. */
  note(batchId: string): LogEvent {
    return this.say(batchId, 'noted', { text: `note ${this.seq}` });
  }

  /** A thermometer read: the whole batch is worked out anew with it. */
  reading(batchId: string): LogEvent {
    const tempC = 96 + (this.seq % 3);
    return this.say(batchId, 'measured', {
      stepId: 'boil-1',
      vesselId: 'pot',
      reading: { what: 'temperature', tempC },
    });
  }

  /** What a cook says at the stove: now a note, now a reading. */
  entry(batchId: string): LogEvent {
    return this.seq % 2 === 0 ? this.reading(batchId) : this.note(batchId);
  }

  say(batchId: string, kind: string, body: object): LogEvent {
    this.seq++;
    return {
      id: `${this.device}-${this.seq}`,
      stream: { kind: 'batch', id: batchId },
      v: 1,
      atMs: Date.now(),
      deviceId: this.device,
      deviceSeq: this.seq,
      kind,
      body,
    } as LogEvent;
  }

  /** Batches that have come to their boil. @returns their ids. */
  async begin(count: number): Promise<string[]> {
    const { plan } = (await this.ask<BatchDoc>('GET', '/batches/demo-steeping')).batch;
    const recipe = BOOK.find((r) => r.id === plan.recipeId)!;
    const boiled = { ...plan, choices: defaultChoices(recipe, 'straightBoil') };
    const ids = Array.from({ length: count }, (_, i) => `${this.device}-batch-${i}`);
    for (const id of ids) {
      await this.ask('POST', '/batches', { id, plan: boiled });
      const started = await this.ask<Batch>('POST', `/batches/${id}/start`, {
        version: 1,
        events: [this.say(id, 'stepStarted', { stepId: 'pick' })],
      });
      const { steps } = started.pins!.program;
      const before = steps.slice(
        0,
        steps.findIndex((s) => s.kind === 'boil'),
      );
      await this.ask('POST', '/events', {
        events: before.map((s) => this.say(id, 'stepEnded', { stepId: s.id })),
      });
    }
    return ids;
  }
}

import type { Batch, Instrument } from '@big-ladle/core/contract';
import {
  fridgeAirC,
  hiddenFactors,
  INSTRUMENT_ROWS,
  type InstrumentReading,
  isLost,
  rehearsalNow,
  simulatedReading,
  simulateTruth,
} from '@big-ladle/core/log';
import { NO_FACTORS } from '@big-ladle/core/program';
import type { Clock } from '../clock.ts';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import { readInstruments, storeReadings, THINNED_MS } from '../services/instruments.ts';
import { batchOf, eventsOf, streamKindOf, tablesOf } from '../services/streams.ts';
import type { StreamHub } from '../stream.ts';

const TICK_MS = 1000;
/** A rehearsal that runs fast is read so often within a tick at most. */
const MOST_A_TICK = 30;

const rowOf = (instrument: Instrument) => INSTRUMENT_ROWS.find((r) => r.kind === instrument.kind)!;

/** Reads every paired instrument once a second, tells the windows, and keeps what is far enough apart. */
export class InstrumentWatch {
  private readonly lastMs = new Map<string, number>();
  private timer: NodeJS.Timeout | null = null;
  private busy = false;

  constructor(
    private readonly db: Db,
    private readonly clock: Clock,
    private readonly hub: StreamHub,
    private readonly report: (error: unknown) => void,
  ) {}

  start(): void {
    this.timer = setInterval(() => void this.tick(), TICK_MS);
    this.timer.unref();
  }

  stop(): void {
    if (this.timer) clearInterval(this.timer);
    this.timer = null;
  }

  async tick(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    try {
      const instruments = await readInstruments(this.db);
      const byBatch = new Map<string, Instrument[]>();
      for (const one of instruments) {
        if (one.kind === 'fridgeLogger') await this.readFridge(one);
        else if (one.batchId) byBatch.set(one.batchId, [...(byBatch.get(one.batchId) ?? []), one]);
      }
      for (const [id, held] of byBatch) {
        const batch = await batchOf(this.db, id);
        if (batch?.pins && batch.status === 'on') await this.readBatch(batch, held);
      }
    } catch (error) {
      this.report(error);
    } finally {
      this.busy = false;
    }
  }

  /** The moments to be read since the last tick, by the batch's own time. */
  private momentsOf(instrument: Instrument, nowMs: number): number[] {
    const lastMs = this.lastMs.get(instrument.id) ?? nowMs - TICK_MS;
    this.lastMs.set(instrument.id, nowMs);
    const between: number[] = [];
    for (let ms = nowMs; ms > lastMs && between.length < MOST_A_TICK; ms -= THINNED_MS) between.unshift(ms);
    return between.length ? between : [nowMs];
  }

  private async readBatch(batch: Batch, held: readonly Instrument[]): Promise<void> {
    const { program, kitchen } = batch.pins!;
    const { rehearsal } = batch;
    const realNowMs = this.clock.nowMs();
    const nowMs = rehearsal ? rehearsalNow(rehearsal, realNowMs) : realNowMs;
    const events = await eventsOf(this.db, streamKindOf(batch), batch.id);
    const hidden = rehearsal ? hiddenFactors(rehearsal.seed) : NO_FACTORS;
    const truth = simulateTruth(program, kitchen, tablesOf(batch.pins!), events, nowMs, hidden);
    const startMs = Math.min(...events.map((e) => e.atMs));
    for (const instrument of held) {
      const readings = this.momentsOf(instrument, nowMs).map((atMs): InstrumentReading => {
        const sinceMin = (atMs - startMs) / 60_000;
        // Practice: in a rehearsal it is lost once in a while, and comes back.
        const lost = instrument.lost || (rehearsal !== undefined && isLost(instrument.seed, sinceMin));
        return lost
          ? { atMs, value: null, fault: 'lost' }
          : simulatedReading({
              row: rowOf(instrument),
              seed: instrument.seed,
              atMs,
              truth: truth.at,
              tareKg: instrument.tareKg,
            });
      });
      await this.tell(instrument, batch.id, readings);
    }
  }

  private async readFridge(instrument: Instrument): Promise<void> {
    const { kitchen } = await readKitchen(this.db);
    const atMs = this.clock.nowMs();
    const reading = instrument.lost
      ? ({ atMs, value: null, fault: 'lost' } as const)
      : simulatedReading({
          row: rowOf(instrument),
          seed: instrument.seed,
          atMs,
          truth: (ms) => ({
            tempC: fridgeAirC(instrument.seed, ms, kitchen.fridgeC, kitchen.roomC, instrument.failing),
            massKg: null,
            brix: null,
            pH: null,
            abvPct: 0,
          }),
        });
    await this.tell(instrument, null, [reading]);
  }

  private async tell(
    instrument: Instrument,
    batchId: string | null,
    readings: readonly InstrumentReading[],
  ): Promise<void> {
    await storeReadings(this.db, instrument.id, batchId, readings);
    this.hub.reading({ instrumentId: instrument.id, batchId, readings });
  }
}

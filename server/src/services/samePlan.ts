import { createHash } from 'node:crypto';
import type { Pins } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Program } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import { tablesOf } from './streams.ts';

/** What a batch is read against. */
interface PlanRead {
  program: Program;
  kitchen: Kitchen;
  tables: Tables;
}

/** So many plans are remembered: those of the batches that were read last. */
const REMEMBERED = 6;
const read = new Map<string, PlanRead>();

/**
 * A plan that was made before in the same kitchen is the same plan: what the model was run for, some dozens of times, is
 * kept with it. What the kitchen had learnt by then is no part of it: batches are read against the book.
 */
export function samePlan(pins: Pins, program: Program): PlanRead {
  const { learnt: _, ...kitchen } = pins.kitchen;
  const text = JSON.stringify([program, kitchen, pins.rows, pins.ingredients, pins.tablesVersion]);
  const key = createHash('sha1').update(text).digest('base64');
  const plan = read.get(key) ?? { program, kitchen, tables: tablesOf(pins) };
  read.delete(key);
  read.set(key, plan);
  for (const oldest of read.keys()) {
    if (read.size <= REMEMBERED) break;
    read.delete(oldest);
  }
  return plan;
}

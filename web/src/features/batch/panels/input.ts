import type { Kitchen, Pot } from '@big-ladle/core/documents';
import type { Program, Simulation } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';

export interface PanelInput {
  program: Program;
  sim: Simulation;
  kitchen: Kitchen;
  tables: Tables;
  pot: Pot;
  startMs: number;
  nowMs: number;
  /** What the log has booked of a batch that is on: sweetener by line. */
  addedG?: Readonly<Record<string, number>>;
  /** What the bottles really were, once they are filled. */
  hygiene?: 'clean' | 'sterilised';
}

import type { DocChange } from '@big-ladle/core/contract';
import type { StoredEvent } from './stream.ts';

/** An answer that is written already: what is stored as JSON goes out as it is. */
export class Written<Answer> {
  /** Only for the types: what it says. */
  declare readonly says: Answer;
  constructor(readonly json: string) {}
}

/** What a service has done: what is answered, and what other windows are to be told once it is committed. */
export interface Outcome<Answer> {
  answer: Answer;
  /** Where something new stands now: it is answered as created. */
  created?: string;
  changed?: readonly DocChange[];
  stored?: readonly StoredEvent[];
}

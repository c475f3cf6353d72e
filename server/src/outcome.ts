import type { DocChange } from '@big-ladle/core';
import type { StoredEvent } from './stream.ts';

/** What a service has done: what is answered, and what other windows are to be told once it is committed. */
export interface Outcome<Answer> {
  answer: Answer;
  /** Where something new stands now: it is answered as created. */
  created?: string;
  changed?: readonly DocChange[];
  stored?: readonly StoredEvent[];
}

import type { Project, Schedule } from './project.ts';
import { searchSchedule } from './search.ts';

/** A search of so many tries: the same on any machine. */
export function searchTries(project: Project, tries: number, seed = 0.3): Schedule {
  let left = tries;
  return searchSchedule(project, { seed, over: () => left-- <= 0 });
}

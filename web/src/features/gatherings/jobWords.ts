import '../../words/places/gatherings.ts';
import type { FeastJob, Sized } from '@big-ladle/core/gathering';
import { dayWord, say } from '../../words/say.ts';
import { sayFeastDrink, sayJob } from './sayFeast.ts';

/** What somebody is wanted for, day by day; what is done once for several drinks stands once. */
export function byDay(
  jobs: readonly FeastJob[],
  zone: string,
  nowMs: number,
): { day: string; jobs: FeastJob[] }[] {
  const days = new Map<string, FeastJob[]>();
  for (const job of [...jobs].sort((a, b) => a.startMs - b.startMs)) {
    if (!job.attended || (job.together.length > 1 && job.together[0] !== job.drinkId)) continue;
    const day = dayWord(job.startMs, nowMs, zone);
    days.set(day, [...(days.get(day) ?? []), job]);
  }
  return [...days].map(([day, of]) => ({ day, jobs: of }));
}

/** A job with what it is done for. */
export function jobLine(job: FeastJob, sized: Sized): string {
  const drinkOf = (id: string) => sized.drinks.find((d) => d.id === id);
  const what = sayJob(job, drinkOf(job.drinkId));
  if (job.together.length < 2) return say('days.job', { what, drink: sayFeastDrink(drinkOf(job.drinkId)) });
  const drinks = job.together.map((id) => sayFeastDrink(drinkOf(id))).join(', ');
  return `${what}, ${say('days.together', { drinks })}`;
}

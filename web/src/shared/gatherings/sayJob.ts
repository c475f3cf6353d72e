import '../../words/places/feast.ts';
import '../../words/places/steps.ts';
import type { GatheringDoc } from '@big-ladle/core/documents';
import { attendedJobs, COOK, type FeastDrink, type FeastJob, type Sized } from '@big-ladle/core/gathering';
import { sayDrink } from '../../words/names.ts';
import { dayWord, say } from '../../words/say.ts';
import { stepAlone } from '../batch/stepNames.ts';

/** What a drink of a gathering is called. */
export const sayFeastDrink = (drink: Pick<FeastDrink, 'recipeId'> | undefined): string =>
  drink?.recipeId ? sayDrink(drink.recipeId) : say('drink.unknown');

/** Who does it: the cook, or a helper by name. */
export const sayPerson = (id: string, gathering: Pick<GatheringDoc, 'helpers'>): string =>
  id === COOK ? say('days.yourHands') : (gathering.helpers.find((h) => h.id === id)?.name ?? id);

/** What a job is, in few words. */
export function sayJob(job: FeastJob, drink: FeastDrink | undefined): string {
  if (job.extra) return say(`days.${job.extra}`);
  const program = drink?.made?.program;
  const names = job.parts.flatMap(({ stepId }) => {
    const step = program?.steps.find((s) => s.id === stepId);
    return step && program ? [stepAlone(step, program)] : [];
  });
  return [...new Set(names)].join(', ');
}

/** What somebody is wanted for, day by day; what is done once for several drinks stands once. */
export function byDay(
  jobs: readonly FeastJob[],
  zone: string,
  nowMs: number,
): { day: string; jobs: FeastJob[] }[] {
  const days = new Map<string, FeastJob[]>();
  for (const job of attendedJobs(jobs)) {
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

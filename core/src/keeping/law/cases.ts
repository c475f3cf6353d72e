import type { Case } from './case.ts';
import { CASES_OF_BOTTLES } from './casesOfBottles.ts';
import { CASES_OF_CLASS } from './casesOfClass.ts';
import { CASES_OF_COURSES } from './casesOfCourses.ts';

export { missOf } from './case.ts';

export const CASES: readonly Case[] = [...CASES_OF_CLASS, ...CASES_OF_COURSES, ...CASES_OF_BOTTLES];

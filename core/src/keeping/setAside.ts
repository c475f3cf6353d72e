import { traitsOf } from '../program/model/tags.ts';
import { type Guidance, guidanceAt } from '../program/simulate/guidance.ts';
import type { Tables } from '../tables/types.ts';
import type { Screened } from './leftovers.ts';

/** What is to be said before it is put by, the gravest first. */
export const setAsideGuidance = (facts: Screened, tables: Tables): Guidance[] =>
  guidanceAt('setAside', traitsOf([...facts.ingredientIds, ...(facts.companionIds ?? [])], tables));

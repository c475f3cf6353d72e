import { ROUTES } from '@big-ladle/core/contract';
import type { CustomFacts, Recipe } from '@big-ladle/core/documents';
import { useQuery } from '@tanstack/react-query';
import { knowNames } from '../words/names.ts';
import { ask } from './api.ts';
import { keys } from './queries.ts';

/** What the cook has written herself. */
export interface OwnBook {
  recipes: Recipe[];
  ingredients: CustomFacts[];
}

async function askOwnBook(): Promise<OwnBook> {
  const doc = await ask(ROUTES.recipes, {});
  knowNames(
    doc.recipes.map((r) => [r.id, r.name ?? r.id] as const),
    doc.ingredients.map((f) => [f.id, f.name] as const),
  );
  return doc;
}

/** The cook's own part of the book, without the shipped one: enough where drinks are only named or handed to a worker. */
export const useOwnBook = () => useQuery({ queryKey: keys.recipes, queryFn: askOwnBook });

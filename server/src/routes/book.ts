import { ROUTES } from '@big-ladle/core/contract';
import { HttpProblem } from '../problems.ts';
import {
  createRecipe,
  ownFacts,
  ownRecipes,
  putIngredient,
  putStock,
  readStock,
  retireRecipe,
  updateRecipe,
  versionsOf,
} from '../services/book.ts';
import type { ApiParts } from './parts.ts';
import type { Serve } from './serve.ts';

/** The cook's own recipes and ingredients, and what is in the house. */
export function serveBook(serve: Serve, { db, clock }: ApiParts): void {
  serve(ROUTES.recipes, async () => ({
    answer: { recipes: await ownRecipes(db), ingredients: await ownFacts(db) },
  }));
  serve(ROUTES.createRecipe, async ({ body }) => ({
    ...(await createRecipe(db, body.recipe, clock.nowMs())),
    created: `/api/recipes/${body.recipe.id}`,
  }));
  serve(ROUTES.saveRecipe, ({ params, body }) => updateRecipe(db, params.id, body, clock.nowMs()));
  serve(ROUTES.retireRecipe, ({ params, query }) =>
    retireRecipe(db, params.id, query.version, clock.nowMs()),
  );
  serve(ROUTES.recipeVersions, async ({ params }) => ({
    answer: { versions: await versionsOf(db, params.id) },
  }));
  serve(ROUTES.putIngredient, async ({ params, body }) => {
    if (body.id !== params.id) throw new HttpProblem('otherId');
    return putIngredient(db, body);
  });
  serve(ROUTES.stock, async () => ({ answer: { stock: await readStock(db) } }));
  serve(ROUTES.putStock, ({ params, body }) => putStock(db, { itemId: params.id, ...body }));
}

import type { Recipe } from '../documents/recipe.ts';

/** A recipe of the cook's own with its steps, new, and with nothing chosen that was not said. */
export const ownRecipe = (
  said: Pick<Recipe, 'id' | 'lines' | 'steps' | 'basisL' | 'targetSweetnessPct'> & { name: string },
): Recipe => ({
  version: 1,
  family: 'own',
  serve: 'either',
  methods: ['own'],
  press: 'press',
  cloth: false,
  times: {},
  ...said,
});

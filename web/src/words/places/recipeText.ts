import { EN_RECIPE_TEXT } from '../en/recipeText.ts';
import { teach } from '../say.ts';

teach(EN_RECIPE_TEXT);

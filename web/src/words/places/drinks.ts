import { EN_DRINKS } from '../en/drinks.ts';
import { teach } from '../say.ts';

teach(EN_DRINKS);

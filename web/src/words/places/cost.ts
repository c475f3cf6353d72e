import { EN_COST } from '../en/cost.ts';
import { teach } from '../say.ts';

teach(EN_COST);

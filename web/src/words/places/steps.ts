import { EN_STEPS } from '../en/steps.ts';
import { teach } from '../say.ts';

teach(EN_STEPS);

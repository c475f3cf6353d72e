import { EN_DATES } from '../en/dates.ts';
import { teach } from '../say.ts';

teach(EN_DATES);

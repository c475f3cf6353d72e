import { EN_STOVE } from '../en/stove.ts';
import { teach } from '../say.ts';

teach(EN_STOVE);

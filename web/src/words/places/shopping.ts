import { EN_SHOPPING } from '../en/shopping.ts';
import { teach } from '../say.ts';

teach(EN_SHOPPING);

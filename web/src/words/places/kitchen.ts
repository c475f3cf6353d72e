import { EN_KITCHEN } from '../en/kitchen.ts';
import { teach } from '../say.ts';

teach(EN_KITCHEN);

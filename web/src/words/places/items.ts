import { EN_ITEMS } from '../en/items.ts';
import { teach } from '../say.ts';

teach(EN_ITEMS);

import { EN_FIND } from '../en/find.ts';
import { teach } from '../say.ts';

teach(EN_FIND);

import { EN_GATHERINGS } from '../en/gatherings.ts';
import { teach } from '../say.ts';

teach(EN_GATHERINGS);

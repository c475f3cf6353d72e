import { EN_FEAST } from '../en/feast.ts';
import { teach } from '../say.ts';

teach(EN_FEAST);

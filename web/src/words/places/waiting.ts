import { EN_WAITING } from '../en/waiting.ts';
import { teach } from '../say.ts';

teach(EN_WAITING);

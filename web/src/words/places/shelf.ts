import { EN_SHELF } from '../en/shelf.ts';
import { teach } from '../say.ts';

teach(EN_SHELF);

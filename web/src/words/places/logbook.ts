import { EN_LOGBOOK } from '../en/logbook.ts';
import { teach } from '../say.ts';

teach(EN_LOGBOOK);

import { EN_BATCH } from '../en/batch.ts';
import { teach } from '../say.ts';

teach(EN_BATCH);

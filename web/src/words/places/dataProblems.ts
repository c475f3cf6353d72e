import { EN_DATA_PROBLEMS } from '../en/dataProblems.ts';
import { teach } from '../say.ts';

teach(EN_DATA_PROBLEMS);

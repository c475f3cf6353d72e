import { EN_PAGES } from '../en/pages.ts';
import { teach } from '../say.ts';

teach(EN_PAGES);

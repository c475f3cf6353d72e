import { EN_PHOTOS } from '../en/photos.ts';
import { teach } from '../say.ts';

teach(EN_PHOTOS);

import { EN_SHELF } from './enShelf.ts';
import { teach } from './say.ts';

/** Rooms that speak of bottles, leftovers and looks bring their sentences along: the first page does without them. */
teach(EN_SHELF);

import { familyOfItem } from '@big-ladle/core/book';

/** All forms of the plant that an item is a form of. */
export const formsOf = (itemId: string): string[] => familyOfItem(itemId)?.forms.map((f) => f.itemId) ?? [];

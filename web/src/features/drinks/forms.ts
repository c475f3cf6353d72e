import { FAMILY_ROWS } from '@big-ladle/core/tables';

/** All forms of the plant that an item is a form of. */
export const formsOf = (itemId: string): string[] =>
  FAMILY_ROWS.find((f) => f.forms.some((form) => form.itemId === itemId))?.forms.map((f) => f.itemId) ?? [];

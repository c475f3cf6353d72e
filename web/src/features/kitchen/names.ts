import { type Kitchen, SHIPPED_TABLES } from '@big-ladle/core';
import { has, say } from '../../words/say.ts';

/** An ingredient by its kitchen name, else by its table name and form. */
export function ingredientName(id: string): string {
  const row = SHIPPED_TABLES.ingredients.get(id);
  return has(`item.${id}`) ? say(`item.${id}`) : row ? `${row.name}, ${row.form}` : id;
}

export function measureName(id: string, kitchen: Kitchen): string {
  const own = kitchen.measures.find((m) => m.id === id);
  return own ? own.name : (say(`unit.${id}`).split('|')[0] ?? id);
}

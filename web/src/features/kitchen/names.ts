import type { Kitchen } from '@big-ladle/core/documents';
import { sayCode } from '../../words/say.ts';

export function measureName(id: string, kitchen: Kitchen): string {
  const own = kitchen.measures.find((m) => m.id === id);
  return own ? own.name : sayCode(`unit.${id}`, { count: 1 });
}

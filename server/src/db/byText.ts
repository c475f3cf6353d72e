import { LRUCache } from 'lru-cache';

/**
 * Reads a stored text, and remembers what came of it by the text itself, so that it is never out of date: a batch is read
 * with every entry that comes, and nearly all of it is the same as the last time. Nobody may change what comes from here.
 * @param max how many texts are remembered.
 */
export function byText<T extends object>(max: number, read: (text: string) => T): (text: string) => T {
  const known = new LRUCache<string, T>({ max });
  return (text) => {
    const before = known.get(text);
    if (before !== undefined) return before;
    const value = read(text);
    known.set(text, value);
    return value;
  };
}

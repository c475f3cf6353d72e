import type { Random } from './random.ts';

/** Words that a cook may well write, and that break what is careless: all of them are allowed, none may do anything. */
export const HOSTILE_WORDS: readonly string[] = [
  '<img src=x onerror="window.hit=1">',
  '"><script>window.hit=1</script>',
  '=HYPERLINK("http://example.invalid")',
  '+1+1',
  'BEGIN:VEVENT;SUMMARY:x',
  '{name, plural, one {x}}',
  '%s %n {0} #{1}',
  '\u202egnol si eman siht',
  'Ω̴̡̛͕͈̬ ',
  '🫖🏮🍍🍍🍍',
  'M'.repeat(38),
  'constructor',
  '__proto__',
  "'; drop table event; --",
  '../../etc/passwd',
];

const deep = (levels: number): unknown => JSON.parse('['.repeat(levels) + ']'.repeat(levels));

const VALUES: readonly ((random: Random) => unknown)[] = [
  () => null,
  () => true,
  () => -1,
  () => 0,
  () => 1e308,
  () => 8_640_000_000_000_001,
  () => 0.1 + 0.2,
  () => '',
  () => 'x'.repeat(20_000),
  () => 'a\u0000b\nc',
  () => '\ud800',
  () => [],
  () => ({}),
  () => deep(400),
  () => Array.from({ length: 3000 }, (_, i) => i),
  () => ({ toString: 1, valueOf: 2, length: -1 }),
  () => JSON.parse('{"__proto__": {"hit": 1}, "constructor": {"prototype": {"hit": 1}}}'),
  (random) => random.pick(HOSTILE_WORDS),
  (random) => random.whole(-5, 2_000_000_000),
];

/** Every place in a value, as the way to it. */
function places(value: unknown, way: readonly string[] = [], found: string[][] = []): string[][] {
  if (way.length > 0) found.push([...way]);
  if (typeof value === 'object' && value !== null && way.length < 12)
    for (const key of Object.keys(value))
      places((value as Record<string, unknown>)[key], [...way, key], found);
  return found;
}

/** A copy with something else at the place, or without it. */
export function changedAt(value: unknown, way: readonly string[], change: { to: unknown } | 'gone'): unknown {
  const [key, ...rest] = way;
  if (key === undefined) return change === 'gone' ? undefined : change.to;
  if (Array.isArray(value)) {
    const i = Number(key);
    return rest.length === 0 && change === 'gone'
      ? value.filter((_, at) => at !== i)
      : value.map((v, at) => (at === i ? changedAt(v, rest, change) : v));
  }
  const copy = { ...(value as Record<string, unknown>) };
  if (rest.length === 0 && change === 'gone') delete copy[key];
  else copy[key] = changedAt(copy[key], rest, change);
  return copy;
}

/** Places whose text becomes a file of the machine: nothing but a place of our own is tried there. */
const NOT_HERE = new Set(['folder']);

/** A value with one to three of its places made wrong. */
export function mutated(value: unknown, random: Random): unknown {
  let result = value;
  for (let i = random.whole(1, 3); i > 0; i--) {
    const all = places(result).filter((way) => !NOT_HERE.has(way.at(-1)!));
    if (all.length === 0) return random.pick(VALUES)(random);
    const way = random.pick(all);
    if (random.chance(0.2)) result = changedAt(result, way, 'gone');
    else if (random.chance(0.1)) result = changedAt(result, [...way.slice(0, -1), 'unknownField'], { to: 1 });
    else result = changedAt(result, way, { to: random.pick(VALUES)(random) });
  }
  return result;
}

/** Every place of a value, the outermost first: where it can be made smaller. */
export const placesIn = (value: unknown): string[][] => places(value).sort((a, b) => a.length - b.length);

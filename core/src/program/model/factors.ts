/** What of the model differs from one kitchen to another, and from one batch to another. */
export const FACTOR_KINDS = [
  /** Steam at the boil: in general, or of a pot. */
  'boilOff',
  /** The same, of a ring. */
  'boilRing',
  /** The same, of a level of boiling. */
  'boilLevel',
  /** Power that reaches the pot: in general, or of a ring. */
  'power',
  /** Heat that is lost: in general, or in a place. */
  'heatLoss',
  /** What sieves and cloths keep. */
  'strainLoss',
  /** Liquor that stays in what was strained: of a way of pressing. */
  'press',
  /** The same, of an ingredient. */
  'held',
  /** How fast an ingredient gives. */
  'rate',
  /** How much it has to give. */
  'potency',
  /** Its juice. */
  'juice',
  /** Juice by a tool, whatever the fruit. */
  'juiceBy',
  /** Minutes of a kind of handwork. */
  'minutes',
] as const;
export type FactorKind = (typeof FACTOR_KINDS)[number];

/** A factor in general, or that of one pot, ring, level, place, ingredient or kind of work. */
export type FactorId = FactorKind | `${FactorKind}:${string}`;

/** Multipliers on the constants of the model; what is not named is as the tables have it. */
export type ModelFactors = Readonly<Partial<Record<FactorId, number>>>;

/** Both together: what is learnt of a kitchen, and what one run of a range draws around it. */
export function bothFactors(
  a: ModelFactors | undefined,
  b: ModelFactors | undefined,
): ModelFactors | undefined {
  if (!a || !b) return a ?? b;
  const out: Partial<Record<FactorId, number>> = { ...a };
  for (const id of Object.keys(b) as FactorId[]) out[id] = (out[id] ?? 1) * b[id]!;
  return out;
}

/** A kitchen as the book has it: nothing learnt. */
export const byTheBook = <K extends { learnt?: unknown }>({ learnt: _, ...kitchen }: K): Omit<K, 'learnt'> =>
  kitchen;

/** What a constant is multiplied by: the factor in general and that of what it belongs to. */
export function factorOf(factors: ModelFactors, kind: FactorKind, of?: string): number {
  const general = factors[kind] ?? 1;
  return of === undefined ? general : general * (factors[`${kind}:${of}`] ?? 1);
}

/** What a factor is of: its kind, and the pot, ring, level, place, ingredient or kind of work; null: in general. */
export function readFactorId(id: FactorId): { kind: FactorKind; of: string | null } {
  const colon = id.indexOf(':');
  return colon < 0
    ? { kind: id as FactorKind, of: null }
    : { kind: id.slice(0, colon) as FactorKind, of: id.slice(colon + 1) };
}

import '../../words/places/stove.ts';
import { BOOK } from '@big-ladle/core/book';
import { type DrinkOverview, familiesOf } from '@big-ladle/core/compare';
import type { KitchenDoc } from '@big-ladle/core/contract';
import { EMPTY_KITCHEN, type Kitchen, type MethodId, type Pot } from '@big-ladle/core/documents';
import { type BurnerKind, FAMILY_ROWS } from '@big-ladle/core/tables';
import { type PotUnit, USUAL_DEGREES } from '@big-ladle/core/units';
import { type MessageKey, say } from '../../words/say.ts';

/** A ring of each kind as it stands in most kitchens. */
const USUAL_RING: Record<BurnerKind, { name: MessageKey; powerW: number }> = {
  gas: { name: 'firstPot.gasRing', powerW: 2500 },
  electric: { name: 'firstPot.electricRing', powerW: 2000 },
  induction: { name: 'firstPot.inductionRing', powerW: 2200 },
};

const USUAL_BOTTLES = [
  {
    id: 'bottle-750',
    name: 'firstPot.tallBottle',
    volumeMl: 750,
    diameterCm: 8,
    material: 'glass',
    count: 12,
  },
  {
    id: 'bottle-500',
    name: 'firstPot.halfBottle',
    volumeMl: 500,
    diameterCm: 7,
    material: 'glass',
    count: 12,
  },
] as const;

/**
 * A kitchen of one pot and one ring, with what most kitchens have besides.
 * @param potUnit in which the pot was told: who counts in quarts is shown the rest in US measures too.
 */
export function firstKitchen(doc: KitchenDoc, pot: Pot, ring: BurnerKind, potUnit: PotUnit): Kitchen {
  const { kitchen } = doc;
  const units = potUnit === 'litre' ? kitchen.units : 'us';
  return {
    ...EMPTY_KITCHEN,
    ...kitchen,
    ...(units === kitchen.units ? {} : { units, degrees: USUAL_DEGREES[units] }),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    pots: [pot],
    burners: kitchen.burners.length
      ? kitchen.burners
      : [{ id: `ring-${ring}`, kind: ring, ...USUAL_RING[ring], name: say(USUAL_RING[ring].name) }],
    bottles: kitchen.bottles.length
      ? kitchen.bottles
      : USUAL_BOTTLES.map((b) => ({ ...b, name: say(b.name) })),
  };
}

/** A way that takes no longer than this share of the quickest is quick too. */
const NEARLY_AS_QUICK = 1.3;

/** So many are asked about. */
const ASKED = 12;

/** What most drinks of the book are made of, without what every kitchen has: asked about first. */
export function atHand(): string[] {
  const everywhere = new Set(FAMILY_ROWS.filter((f) => f.sweetens || f.plainWater).map((f) => f.id));
  const counts = new Map<string, number>();
  for (const recipe of BOOK)
    for (const id of familiesOf(recipe)) if (!everywhere.has(id)) counts.set(id, (counts.get(id) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .slice(0, ASKED)
    .map(([id]) => id);
}

export interface Proposal {
  recipeId: string;
  methodId: MethodId;
  totalMin: number;
  /** Of what it is made of, what is at hand. */
  has: number;
}

/**
 * Drinks for what is at hand, the best first: those that use most of it, then those that need least besides, then the
 * quickest. Each by its quickest way.
 * @param withinMin only what is in bottles by then; null: whenever.
 */
export function proposalsFor(
  drinks: readonly DrinkOverview[],
  held: ReadonlySet<string>,
  withinMin: number | null,
): Proposal[] {
  return drinks
    .flatMap((drink) => {
      const least = Math.min(...drink.methods.map((m) => m.totalMin));
      // Of the quick ways the one that the book has first: it is the plainest.
      const quick = drink.methods.find((m) => m.totalMin <= least * NEARLY_AS_QUICK);
      if (!quick || (withinMin !== null && quick.totalMin > withinMin)) return [];
      const has = drink.families.filter((f) => held.has(f)).length;
      return [{ ...quick, recipeId: drink.recipeId, has, lacks: drink.families.length - has }];
    })
    .sort((a, b) => b.has - a.has || a.lacks - b.lacks || a.totalMin - b.totalMin);
}

import type { GlassFacts } from '../balance/served.ts';
import type { LotName } from '../program/model/ids.ts';
import type { Closure, ContainerForm, ContainerMaterial } from '../tables/containers.ts';
import type { Tag } from '../tables/traits.ts';
import type { MarkerId } from '../tables/types.ts';
import type { Said } from '../units/result.ts';
import type { BottleFacts } from './follower.ts';
import type { LeftoverFacts } from './leftovers.ts';

/** A bottle as it was filled; what happened to it since stands in its own stream. */
export interface BottleItem {
  itemId: string;
  batchId: string;
  recipeId: string;
  /** A cook's own drink goes by its own name. */
  drinkName?: string;
  /** What the kitchen calls this size; none: a jug. */
  sizeName?: string | undefined;
  sizeMl: number;
  material: ContainerMaterial;
  form: ContainerForm;
  closure: Closure;
  /** Meant for somebody. */
  forWhom?: string;
  colour: string;
  brix: number;
  abvPct: number;
  /** Of herbs that are counted by the day, g in a litre. */
  strongGPerL: Partial<Record<MarkerId, number>>;
  /** What is in it and what it has become, as far as a rule asks. */
  tags: Tag[];
  /** Everything that went in, by the tables' ids. */
  itemIds: string[];
  lot?: LotName & { id: string };
  glass: GlassFacts;
  /** What would have made it keep longer. */
  longer: readonly Said[];
  bottle: BottleFacts;
}

/** Something that was set aside. */
export interface LeftoverItem {
  itemId: string;
  batchId: string;
  recipeId: string;
  drinkName?: string;
  leftover: LeftoverFacts;
}

import type { Composition } from '../../liquor/composition.ts';
import type { Place } from '../../physics/heat.ts';
import type { Shape } from '../../physics/vesselShape.ts';
import type { Lid } from '../../tables/constants.ts';
import type { LotName, VesselId } from './ids.ts';
import type { Liquor, Solid } from './liquor.ts';

export type VesselKind =
  | 'pot'
  | 'spicePot'
  | 'kettle'
  | 'bowl'
  | 'tub'
  | 'bottles'
  | 'jar'
  | 'blender'
  | 'spent';

/** How fruit is freed of its juice. */

export interface VesselSpec {
  id: VesselId;
  kind: VesselKind;
  /** Null for bowls and tubs nobody measured: taken as high as wide. */
  shape: Shape | null;
  massG: number;
  /** Which pot of the kitchen it is, where it is heated. */
  potId?: string;
  /** The ring it stands on, where it is not the batch's. */
  burnerId?: string;
  /** Whose it is, where it is a lot's. */
  lot?: LotName;
  /** What it holds before the first step: a part taken from the shelf. */
  holds?: Composition;
  /** What that part was made of, by the tables' ids. */
  itemIds?: readonly string[];
}

export interface Vessel {
  id: VesselId;
  liquor: Liquor;
  lid: Lid;
  place: Place;
  solids: readonly Solid[];
}

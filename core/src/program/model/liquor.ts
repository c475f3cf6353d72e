import type { Composition } from '../../liquor/composition.ts';
import type { LineId } from './ids.ts';

/** Where a part of the liquor comes from and what it has been through. Times are minutes since the batch began. */
export interface Origin {
  lineId: LineId;
  kind:
    | 'water'
    | 'solid'
    | 'rawJuice'
    | 'rawMilk'
    | 'sweetener'
    | 'vinegar'
    | 'spirit'
    | 'bought'
    | 'garlic'
    | 'live';
  /** When it was wetted, cut, juiced or poured. */
  sinceMin: number;
  /** Minutes at or above 85 °C. */
  heatedMin: number;
  /** First fell below 60 °C after its last full heating; null while hot or never heated. */
  below60Min: number | null;
  /** Nobody knows what acid and alkali it brings: with it no estimate shows a drink to be acid. */
  unknown?: true;
}

/** How a liquor has cooled and stood, minutes. */
export interface CoolingTally {
  /** In the stages of its cooling, since the last full heating that was allowed to begin them anew. */
  from60To21Min: number;
  from21To5Min: number;
  /** In all between 60 and 5 °C, since the batch began. */
  warmMin: number;
  /** The same outside of fridge and ice and while not shown to be acid: nothing takes these back. */
  unsafeMin: number;
  /** Warm outside of fridge and ice while it has never been heated in full: it counts like a slow cooling. */
  rawWarmMin: number;
  /** It was warmed above its room: it has a cooling to finish. */
  hot: boolean;
  /** It has been cold once since: its cooling is finished. */
  cold: boolean;
  /** At or above 85 °C since it was last below 60. */
  fullHeatMin: number;
  /** A missed first stage was made good by a second boil: that works once. */
  boiledAgain: boolean;
}

/** A liquor: what it is made of, its temperature, and where it comes from. */
export interface Liquor extends Composition {
  tempC: number;
  origins: readonly Origin[];
  cooling: CoolingTally;
  /** The last pH reading; anything poured or put in after it cancels it. */
  read: { pH: number; by: 'meter' | 'strip' } | null;
}

/** A solid in a vessel. Everything in it is drawn at one share, `extracted`. */
export interface Solid {
  lineId: LineId;
  ingredientId: string;
  /** As weighed before use, g. */
  massG: number;
  /** Liquor that clings to it once strained or rinsed. */
  held: Composition;
  extracted: number;
  /** Its own water has joined a liquor already: taken out and put back it brings only what clings to it. */
  wet: boolean;
  /** Minute at which it was cut or wetted; null: it is whole and dry. */
  sinceMin: number | null;
  /** Ground or pounded. */
  milled?: true;
  /** Lifted out of a liquor, whose history it shares, and lying in a bowl since. */
  lifted?: { atMin: number; cooling: CoolingTally };
}

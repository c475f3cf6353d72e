import { CROP_SWEETNESS_SHARE } from '../../tables/constants.ts';

/** How far one verdict moves the target beyond what was tasted. */
const MORE = 1.06;
const LESS = 0.94;

/**
 * Where sweetening aims after some tastes. What the crop is like, tasted before any sugar, moves what was planned:
 * sharper fruit and flowers want more, milder ones less. Then "about right" stops where it is, "too sweet" aims a little
 * below, "not sweet enough" aims at least a little above.
 */
export function targetAfterTastes(
  targetPct: number,
  tastes: readonly Pick<Taste, 'sweet' | 'crop' | 'atSweetnessPct'>[],
): number {
  const crop = tastes.findLast((t) => t.crop !== undefined)?.crop ?? 0;
  const forCrop = targetPct * (1 + CROP_SWEETNESS_SHARE * Math.sign(crop));
  return tastes.reduce((target, { sweet, atSweetnessPct }) => {
    if (sweet === undefined) return target;
    if (sweet === 0) return atSweetnessPct;
    return sweet > 0 ? Math.min(target, atSweetnessPct * LESS) : Math.max(target, atSweetnessPct * MORE);
  }, forCrop);
}

/** A verdict in words on several axes: −1 too little, 0 right, +1 too much; with where it stood then. */
export interface Taste {
  sweet?: number | undefined;
  sour?: number | undefined;
  strong?: number | undefined;
  hot?: number | undefined;
  /** Before any sugar: −1 milder than other years, 0 as usual, +1 sharper. */
  crop?: number | undefined;
  atSweetnessPct: number;
  atSourGPerL?: number | undefined;
}

export interface TasteWish {
  sweetPct: number;
  /** Null: nobody has asked for a sourness yet. */
  sourGPerL: number | null;
  /** Of what there is now: 0.94 wants water, 1 leaves it. More cannot be had by adding. */
  strengthShare: number;
}

/**
 * Where a drink is to go after some tastes. Sweetness moves as ever; "too tart" aims a little below what was tasted, "not
 * tart enough" a little above; "too strong" and "too hot" ask for a little water.
 */
export function wishAfterTastes(wish: TasteWish, tastes: readonly Taste[]): TasteWish {
  const sweetPct = targetAfterTastes(wish.sweetPct, tastes);
  let { sourGPerL, strengthShare } = wish;
  for (const t of tastes) {
    const at = t.atSourGPerL;
    if (t.sour !== undefined && at !== undefined) {
      if (t.sour === 0) sourGPerL = at;
      else if (t.sour > 0) sourGPerL = Math.min(sourGPerL ?? at, at * LESS);
      else sourGPerL = Math.max(sourGPerL ?? at, at * MORE);
    }
    if ((t.strong ?? 0) > 0 || (t.hot ?? 0) > 0) strengthShare *= LESS;
    // "Just right" on strength after some water stops there.
    if (t.strong === 0) strengthShare = 1;
  }
  return { sweetPct, sourGPerL, strengthShare };
}

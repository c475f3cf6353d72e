import type { FoamClass } from './types.ts';

/** Heat capacity of all liquor and wet solids, J/kgK (water's). */
export const HEAT_CAPACITY_J = 4186;
/** Latent heat of boiling water at 100 °C, J/g. */
export const LATENT_J_PER_G = 2257;
/** Dried chilli is as hot as so many times its weight of fresh ginger. Source: set by taste, of medium chillies. */
export const CHILLI_AS_GINGER = 60;
/** Whole spices run ahead in a big pot: their grams grow with this power of the litres. Source: general kitchen practice. */
export const WHOLE_SPICE_EXPONENT = 0.85;
export const GAS_CONSTANT = 8.314;
/** Steel and enamel take 0.12 of the heat that the same mass of water takes. */
export const STEEL_HEAT_SHARE = 0.12;
/** Heat needed to melt ice, J/g. */
export const FUSION_J_PER_G = 334;

/** Share of a pot's capacity kept free for foam. Source: the craft's rule of thumb, on the safe side. */
export const FOAM_SHARE: Record<FoamClass, number> = { quiet: 0.06, foamy: 0.12, milky: 0.25 };
/** A pot counts as full at this share of its brim, foam included. */
export const BRIM_SHARE = 0.92;
/** Dried calyx and leaf stand proud of the liquor, mL per gram. */
export const FLOAT_ML_PER_G = 0.5;

/** Rinse water that washed dried calyx and leaf carry into the pot, mL per gram. */
export const RINSE_CARRIED_ML_PER_G = 1.5;
/** Liquor lost at each straining, and in each cloth, mL. */
export const STRAIN_LOSS_ML = 50;
export const CLOTH_LOSS_ML = 100;
/** Of little liquor at most this share is lost that way. */
export const MOST_LOSS_SHARE = 0.1;

/** A blender: how much of what is in broken cells is free, and how full the jar may be. Source: general kitchen practice. */
export const BLENDING = Object.freeze({ drawnShare: 0.8, fillShare: 0.66 });
/** How long the foam of a blender stands before it has settled, minutes. Source: general kitchen practice. */
export const BLENDED_FOAM_MIN: Record<FoamClass, number> = { quiet: 5, foamy: 15, milky: 25 };
/** An electric kettle: what of its power goes into the water, and what it holds. Source: usual household kettles of 2 kW; confidence medium. */
export const KETTLE_FACTS = Object.freeze({ powerW: 2000, powerIntoW: 1700, holdsMl: 1700 });
/** A washing bowl takes solids up to this share of it, with water to swirl them in. Source: general kitchen practice. */
export const BOWL_SHARE = 0.4;

export const BOIL_LEVEL_IDS = ['rolling', 'medium', 'gentle', 'simmer'] as const;
export type BoilLevel = (typeof BOIL_LEVEL_IDS)[number];

/** Steam given off by a boiling surface and the burner setting it takes. Source: general kitchen physics, set by open-pot trials. */
export const BOIL_LEVELS: Record<BoilLevel, { fluxLPerHM2: number; setting: number; source: string }> = {
  rolling: { fluxLPerHM2: 36, setting: 1.0, source: 'Open pot at a full boil' },
  medium: { fluxLPerHM2: 30, setting: 0.8, source: 'Open pot, lively' },
  gentle: { fluxLPerHM2: 22, setting: 0.6, source: 'Open pot, small bubbles all over' },
  simmer: { fluxLPerHM2: 15, setting: 0.4, source: 'Open pot, bubbles at the rim' },
};
/** Below this flux the pot is no longer boiling: the flame is too small for it, L/h/m². */
export const LEAST_BOIL_FLUX = 7;

export const LIDS = ['on', 'ajar', 'off'] as const;
export type Lid = (typeof LIDS)[number];
/** Share of the steam that gets away. */
export const LID_STEAM: Record<Lid, number> = { off: 1, ajar: 0.5, on: 0.12 };
/** Share of the evaporation below the boil that takes heat with it: under a closed lid it rains back. */
export const LID_HEAT: Record<Lid, number> = { off: 1, ajar: 0.5, on: 0 };

export const BURNER_KINDS = ['gas', 'electric', 'induction'] as const;
export type BurnerKind = (typeof BURNER_KINDS)[number];

export const FUELS = ['electricity', 'gas'] as const;
export type Fuel = (typeof FUELS)[number];
/** What each kind of ring is paid for. */
export const FUEL_OF: Record<BurnerKind, Fuel> = {
  gas: 'gas',
  electric: 'electricity',
  induction: 'electricity',
};

/** A gas flame under a pot of usual width, and under a narrow one; over the last power all above it goes past the pot. */
const GAS = {
  wide: { diameterM: 0.24, share: 0.45 },
  narrow: { diameterM: 0.2, share: 0.38 },
  /** Up to here the whole flame is under the pot. */
  usualW: 3000,
  /** A wok ring: of every watt above the usual this much still arrives, until its share is this low. */
  strong: { ofMore: 0.15, share: 0.33 },
};

/**
 * Share of a burner's power that reaches the pot; of gas it slides with the pot's width and with the flame, so that a
 * stronger flame never heats more slowly. Source: general test results for household hobs.
 */
export function burnerEfficiency(kind: BurnerKind, powerW: number, potDiameterM: number): number {
  switch (kind) {
    case 'gas': {
      const { wide, narrow, usualW, strong } = GAS;
      const width = (potDiameterM - narrow.diameterM) / (wide.diameterM - narrow.diameterM);
      const usual = narrow.share + Math.min(1, Math.max(0, width)) * (wide.share - narrow.share);
      if (powerW <= usualW) return usual;
      const arrives = wide.share * usualW + strong.ofMore * (powerW - usualW);
      return (usual / wide.share) * Math.max(strong.share, arrives / powerW);
    }
    case 'electric':
      return 0.7;
    case 'induction':
      return 0.85;
  }
}

export const POT_MATERIAL_IDS = ['stainless', 'enamel', 'aluminium', 'castIron', 'copper', 'glass'] as const;
export type PotMaterial = (typeof POT_MATERIAL_IDS)[number];

/** Pot materials: weight per square metre of wall and base (for a pot nobody has weighed) and whether acid attacks it. */
export const POT_MATERIALS: Record<PotMaterial, { kgPerM2: number; acidSafe: boolean; source: string }> = {
  stainless: { kgPerM2: 7.5, acidSafe: true, source: 'About 0.9 mm of steel and a thicker base' },
  enamel: { kgPerM2: 7, acidSafe: true, source: 'About 0.9 mm of enamelled steel' },
  aluminium: { kgPerM2: 6, acidSafe: false, source: 'About 2.2 mm of bare aluminium' },
  castIron: { kgPerM2: 28, acidSafe: false, source: 'About 4 mm of bare iron' },
  copper: { kgPerM2: 14, acidSafe: false, source: 'About 1.6 mm of bare copper' },
  glass: { kgPerM2: 12, acidSafe: true, source: 'About 5 mm of heat-proof glass' },
};

/**
 * The fresh smell of citrus goes with the steam: half of it in so many minutes at the boil. Source: general kitchen
 * practice, zest boiled and smelt beside zest stirred in afterwards; confidence low.
 */
export const CITRUS_AROMA = { halfMin: 6, lastMin: 5 } as const;

/** Red fades first order: half in 3 h at 100 °C, 75 kJ/mol, never slower to half than 90 days. Source: general stability of calyx pigments in hot acid. */
export const RED_FADE = { halfLifeH100: 3, activationKJ: 75, slowestHalfLifeDays: 90 } as const;

/** Free sugars a day, g: the common ceiling and the stricter aim of public guidance for adults. */
export const DAILY_FREE_SUGAR_G = { ceiling: 50, aim: 25 } as const;

/**
 * By how much more sugar a sharper crop wants, and less a milder one. Source: fruit and calyces of one kind hold a fifth
 * more or less acid by crop and ripeness, of which a cook makes up about half with sugar; confidence low.
 */
export const CROP_SWEETNESS_SHARE = 0.1;

/** Share of ice that has melted when a glass is drunk. */
export const ICE_MELTED_SHARE = 0.35;

/** Ice in a glass of 250 mL, g: none, three cubes, a full glass. Source: cubes of about 20 g, general kitchen practice. */
export const ICE_IN_GLASS_G = Object.freeze({ none: 0, some: 60, much: 120 });
export type IceInGlass = keyof typeof ICE_IN_GLASS_G;
/** The glass that these are for, mL, and the density of ice, g/mL. */
const ICED_GLASS_ML = 250;
const ICE_G_PER_ML = 0.917;
/** Room that ice takes, mL. */
export const iceMl = (iceG: number): number => iceG / ICE_G_PER_ML;
/** Of a glass, what ice takes the place of: three cubes take 60 g ÷ 0.917 g/mL ÷ 250 mL = 26 %. */
export const iceShare = (ice: IceInGlass): number => iceMl(ICE_IN_GLASS_G[ice]) / ICED_GLASS_ML;

/** An ice bath: its water, and how much less a pot gives off where nobody stirs. Source: water with ice in it; still water inside and out moves about two fifths of the heat. */
export const ICE_BATH = Object.freeze({ tempC: 2, stillShare: 0.4 });

import {
  garnishOf,
  ICE_CUBE_G,
  type Poured,
  pourTo,
  type StrongShare,
  smallServings,
  strongShares,
} from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import { lastWholeDay } from '@big-ladle/core/keeping';
import { DAILY_FREE_SUGAR_G, type LiquidRow, MIXER_IDS, type SweetenerRow } from '@big-ladle/core/tables';
import { DAY_MS } from '@big-ladle/core/units';
import { useState } from 'react';
import { useBook } from '../../../shared/book.ts';
import type { Living } from '../../../shared/shelf.ts';

export const SIZES = ['glass', 'jug', 'small'] as const;
export type Size = (typeof SIZES)[number];

const JUG_ML = 1500;
/** A small glass where the drink has none of its own. */
const SMALL_ML = 60;
/** Cubes stand in a glass with a finger's breadth around them: one for each so many mL. */
const ML_FOR_A_CUBE = 40;

/** What is chosen for a glass. */
interface Chosen {
  warm: boolean;
  size: Size;
  cubes: number;
  mixerId: string;
  /** Null: as strong as it can be. */
  strengthShare: number | null;
}

/** A glass as it is chosen, and what it then is. */
export interface Glass extends Chosen {
  choose: (change: Partial<Chosen>) => void;
  vesselMl: number;
  mostCubes: number;
  mixers: readonly LiquidRow[];
  poured: Poured;
  /** It is wished stronger than the ice leaves it. */
  short: boolean;
  sugarG: number;
  /** Of what guidance allows a day. */
  sugarShare: number;
  spoonSugar: SweetenerRow | undefined;
  abvPct: number;
  strong: StrongShare[];
  garnish: ReturnType<typeof garnishOf>;
  /** By small glasses, one a day: how many are left, and until when. */
  small: { servings: number; untilMs: number } | null;
}

/** One glass of a bottle. */
export function useGlass({ item, leftMl, life }: Living, kitchen: Kitchen, nowMs: number): Glass {
  const { facts } = item;
  const { book, tables } = useBook();
  const recipe = book.find((r) => r.id === facts.recipeId);
  const mixers = MIXER_IDS.flatMap((id) => tables.liquids.get(id) ?? []);
  const [chosen, setChosen] = useState<Chosen>({
    warm: recipe?.serve === 'hot',
    size: 'glass',
    cubes: 0,
    mixerId: mixers[0]?.id ?? '',
    strengthShare: null,
  });
  const { warm, size, strengthShare } = chosen;
  const vesselMl = { glass: facts.glass.servingMl, jug: JUG_ML, small: recipe?.servingMl ?? SMALL_ML }[size];
  const mostCubes = warm ? 0 : Math.floor(vesselMl / ML_FOR_A_CUBE);
  const cubes = Math.min(chosen.cubes, mostCubes);
  const poured = pourTo({ vesselMl, iceG: cubes * ICE_CUBE_G, strengthShare: strengthShare ?? 1 });
  const mixer = mixers.find((row) => row.id === chosen.mixerId);
  const mixerSugarG = mixer ? (mixer.sugarGPer100g / 100) * mixer.densityGPerMl * poured.mixerMl : 0;
  const glasses = poured.drinkMl / facts.glass.servingMl;
  const inAllMl = poured.drinkMl + poured.mixerMl + poured.meltMl;
  const servings = size === 'small' ? smallServings(leftMl, poured.drinkMl, 1) : null;
  return {
    ...chosen,
    choose: (change) => setChosen((before) => ({ ...before, ...change })),
    cubes,
    vesselMl,
    mostCubes,
    mixers,
    poured,
    short: strengthShare !== null && strengthShare > poured.strengthShare + 0.005,
    sugarG: facts.glass.sugarG * glasses + mixerSugarG,
    sugarShare: (facts.glass.freeSugarG * glasses + mixerSugarG) / DAILY_FREE_SUGAR_G.ceiling,
    spoonSugar: [...tables.sweeteners.values()].find((row) => row.sugarPct === 100),
    abvPct:
      inAllMl > 0 ? (facts.abvPct * poured.drinkMl + (mixer?.abvPct ?? 0) * poured.mixerMl) / inAllMl : 0,
    strong: strongShares(
      Object.fromEntries(
        Object.entries(facts.strongGPerL).map(([marker, gPerL]) => [marker, (gPerL * poured.drinkMl) / 1000]),
      ),
    ),
    garnish: garnishOf(new Set(facts.itemIds), warm),
    small: servings && {
      servings: servings.servings,
      untilMs: Math.min(lastWholeDay(life.deadlineMs, kitchen.zone), nowMs + servings.days * DAY_MS),
    },
  };
}

import '../../words/places/cost.ts';
import '../../words/places/drinks.ts';
import type { MethodRow } from '@big-ladle/core/compare';
import type { MarkerId } from '@big-ladle/core/tables';
import type { ReactNode } from 'react';
import { num } from '../../words/numbers.ts';
import { litres, volume } from '../../words/quantities.ts';
import { days, duration, percent, say } from '../../words/say.ts';

interface FigureRow {
  label: string;
  /** What the row means, one tap away. */
  why: string;
  value: (row: MethodRow) => number | null;
  show: (row: MethodRow) => ReactNode;
  /** Which end is good; null: neither. */
  best: 'low' | 'high' | null;
}

const INTO = {
  cold: 'comparePage.cold',
  boiling: 'comparePage.boiling',
  blender: 'comparePage.blender',
} as const;

export function rowsFor(markers: readonly MarkerId[], withRed: boolean, withDraws: boolean): FigureRow[] {
  return [
    {
      label: say('comparePage.fromStartToBottles'),
      why: say('comparePage.allStepsHeatingAnd'),
      value: (r) => r.totalMin,
      show: (r) => duration(r.totalMin),
      best: 'low',
    },
    {
      label: say('comparePage.ofYourHands'),
      why: say('comparePage.washingCuttingStrainingSweetening'),
      value: (r) => r.handsOnMin,
      show: (r) => duration(r.handsOnMin),
      best: 'low',
    },
    {
      label: say('common.inBottles'),
      why: say('comparePage.theWishFromWhat'),
      value: () => null,
      show: (r) => litres(r.litres),
      best: null,
    },
    {
      label: say('comparePage.water'),
      why: say('comparePage.pouredInAllSecond'),
      value: (r) => r.waterL,
      show: (r) => litres(r.waterL),
      best: 'low',
    },
    {
      label: say('comparePage.lostAsSteam'),
      why: say('comparePage.atTheBoilAnd'),
      value: (r) => r.steamL,
      show: (r) => volume(r.steamL),
      best: 'low',
    },
    {
      label: say('comparePage.heat'),
      why: say('comparePage.heatWhy'),
      value: (r) => r.kWh.electricity + r.kWh.gas,
      show: (r) => say('cost.energy', { figure: num(r.kWh.electricity + r.kWh.gas, 1) }),
      best: 'low',
    },
    {
      label: say('comparePage.heldInTheSolids'),
      why: say('comparePage.whatDrainsPressesOr'),
      value: (r) => r.heldL,
      show: (r) => volume(r.heldL),
      best: 'low',
    },
    ...markers.slice(0, 5).map(
      (m): FigureRow => ({
        label: say('comparePage.drawn', { what: say(`marker.${m}`) }),
        why: say('comparePage.inTheFinishedDrink'),
        value: (r) => r.gPerL[m] ?? 0,
        show: (r) => `${num(r.gPerL[m] ?? 0, 1)} g/L`,
        best: 'high',
      }),
    ),
    ...(withRed
      ? [
          {
            label: say('comparePage.redThatIsLeft'),
            why: say('comparePage.heatAndTimeFade'),
            value: (r: MethodRow) => r.redLeft,
            show: (r: MethodRow) => (r.redLeft === null ? '–' : percent(r.redLeft)),
            best: 'high' as const,
          },
        ]
      : []),
    {
      label: say('comparePage.theSolidsGoInto'),
      why: say('comparePage.aBigPotHeated'),
      value: () => null,
      show: (r) => say(INTO[r.into]),
      best: null,
    },
    {
      label: say('comparePage.betweenAndC'),
      why: say('comparePage.whereThingsGrowIn'),
      value: (r) => r.warmMin,
      show: (r) => duration(r.warmMin),
      best: 'low',
    },
    {
      label: say('comparePage.keepsSealedAndCold'),
      why: say('comparePage.byTheKeepingTable'),
      value: (r) => r.keeping?.sealedDays ?? 0,
      show: (r) =>
        r.keeping === null
          ? '–'
          : r.keeping.verdict === 'throwOut'
            ? say('verdict.throwOut')
            : days(r.keeping.sealedDays),
      best: 'high',
    },
    ...(withDraws
      ? [
          {
            label: say('comparePage.theSecondDraw'),
            why: say('comparePage.whatASecondWater'),
            value: () => null,
            show: (r: MethodRow) =>
              r.secondDraw
                ? say('comparePage.atGL', {
                    litres: litres(r.secondDraw.litres),
                    strength: num(r.secondDraw.gPerL, 1),
                    minutes: duration(r.secondDraw.minutes),
                  })
                : '–',
            best: null,
          },
        ]
      : []),
    {
      label: say('comparePage.toWashUp'),
      why: say('comparePage.potsBowlsJugsBlender'),
      value: (r) => r.washUp,
      show: (r) => num(r.washUp),
      best: 'low',
    },
  ];
}

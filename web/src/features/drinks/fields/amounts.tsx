import '../../../words/places/drinks.ts';
import { JUICE_TOOLS, type RecipeStep, SIEVES } from '@big-ladle/core/documents';
import { PRESSES } from '@big-ladle/core/tables';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { say } from '../../../words/say.ts';

import type { Fields } from './tools.tsx';

/** What is pressed, rinsed, shared out and poured. */
export const AMOUNTS: Fields<
  | 'press'
  | 'solids'
  | 'passes'
  | 'rinseMl'
  | 'thrown'
  | 'rinses'
  | 'tool'
  | 'shares'
  | 'sweetPct'
  | 'inGlass'
  | 'sourGPerL'
  | 'portionMl'
> = {
  press: ({ step, set, pick }) =>
    pick(
      'editorPage.solidsAre',
      step.press,
      PRESSES.map((id) => [id, `stepFields.press.${id}`] as const),
      (press) => set({ press: press as RecipeStep['press'] }),
    ),
  solids: ({ step, set, pick }) =>
    pick(
      'stepFields.solids',
      step.keepSolids ? 'kept' : step.asideSolids ? 'aside' : undefined,
      [
        ['kept', 'stepFields.solids.kept'],
        ['aside', 'stepFields.solids.aside'],
      ],
      (v) =>
        set({
          keepSolids: v === 'kept' ? true : undefined,
          asideSolids: v === 'aside' ? true : undefined,
        }),
      true,
    ),
  passes: ({ step, name, set }) =>
    SIEVES.map((by) => (
      <QuantityField
        key={by}
        label={say(`stepFields.sieve.${by}`)}
        said={say('stepFields.of', { label: say(`stepFields.sieve.${by}`), name })}
        value={step.passes?.find((p) => p.by === by)?.times ?? null}
        min={0}
        max={9}
        decimals={0}
        unit="×"
        width={130}
        onValue={(times) => {
          const passes = SIEVES.flatMap((id) => {
            const n = id === by ? times : (step.passes?.find((p) => p.by === id)?.times ?? 0);
            return n > 0 ? [{ by: id, times: n }] : [];
          });
          set({ passes: passes.length > 0 ? passes : undefined });
        }}
      />
    )),
  rinseMl: ({ step, set, figure }) =>
    figure('stepFields.rinseMl', step.rinseMl, { min: 1, max: 20_000, unit: 'mL', width: 160 }, (rinseMl) =>
      set({ rinseMl }),
    ),
  thrown: ({ step, set, pick }) =>
    pick(
      'stepFields.water',
      step.thrown ? 'thrown' : undefined,
      [['thrown', 'stepFields.water.thrown']],
      (v) => set({ thrown: v === 'thrown' ? true : undefined }),
    ),
  rinses: ({ step, set, figure }) =>
    figure('stepFields.rinses', step.rinses, { min: 1, max: 20 }, (rinses) => set({ rinses })),
  tool: ({ step, set, pick }) =>
    pick(
      'stepFields.tool',
      step.tool,
      JUICE_TOOLS.map((id) => [id, `stepFields.tool.${id}`] as const),
      (tool) => set({ tool: tool as RecipeStep['tool'] }),
    ),
  shares: ({ step, name, lineName, set }) => {
    // What is the only one sweetening has all of it to bring.
    return step.kind === 'sweeten' && step.lineIds.length < 2
      ? null
      : step.lineIds.map((lineId) => {
          const label = say(step.kind === 'sweeten' ? 'stepFields.sweetShare' : 'stepFields.share', {
            line: step.kind === 'sweeten' ? lineName(lineId).toLowerCase() : lineName(lineId),
          });
          const share = step.shares?.find((s) => s.lineId === lineId)?.share;
          return (
            <QuantityField
              key={lineId}
              label={label}
              said={say('stepFields.of', { label, name })}
              value={share === undefined ? null : share * 100}
              min={0}
              max={100}
              decimals={0}
              unit="%"
              width={260}
              onValue={(percent) => {
                const others = (step.shares ?? []).filter((s) => s.lineId !== lineId);
                // All of it is as usual.
                const shares =
                  percent >= 100 ? others : [...others, { lineId, share: Math.max(0, percent / 100) }];
                set({ shares: shares.length > 0 ? shares : undefined });
              }}
            />
          );
        });
  },
  sweetPct: ({ step, set, figure }) =>
    figure(
      'stepFields.sweetPct',
      step.sweetPct,
      { min: 0, max: 40, decimals: 1, unit: say('common.gG'), width: 160 },
      (sweetPct) => set({ sweetPct }),
    ),
  inGlass: ({ step, set, pick }) =>
    pick('stepFields.when', step.inGlass ? 'glass' : undefined, [['glass', 'stepFields.when.glass']], (v) =>
      set({ inGlass: v === 'glass' ? true : undefined }),
    ),
  sourGPerL: ({ step, set, figure }) =>
    figure(
      'stepFields.sourGPerL',
      step.sourGPerL,
      { min: 0.5, max: 60, decimals: 1, unit: 'g/L', width: 130 },
      (sourGPerL) => set({ sourGPerL }),
    ),
  portionMl: ({ step, set, figure }) =>
    figure('stepFields.portionMl', step.portionMl, { min: 10, max: 5000, unit: 'mL' }, (portionMl) =>
      set({ portionMl }),
    ),
};

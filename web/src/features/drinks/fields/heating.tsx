import '../../../words/places/drinks.ts';
import { HEATS_TO, HYGIENES, type RecipeStep } from '@big-ladle/core/documents';
import { BOIL_LEVEL_IDS, LIDS } from '@big-ladle/core/tables';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { say } from '../../../words/say.ts';

import type { Fields } from './tools.tsx';

/** How long, how hot, and how far down. */
export const HEATING: Fields<
  'minutes' | 'range' | 'level' | 'lid' | 'heatTo' | 'toC' | 'downTo' | 'everyMin' | 'branch' | 'hygiene'
> = {
  minutes: ({ step, name, set }) => (
    <QuantityField
      label={say('editorPage.minutesShort')}
      said={say('editorPage.minutes', { name })}
      value={step.minutes ?? null}
      min={0}
      max={86_400}
      decimals={0}
      unit="min"
      width={110}
      onValue={(minutes) => set({ minutes, minutesPerL: undefined })}
    />
  ),
  range: ({ step, set, figure }) => (
    <>
      {figure(
        'stepFields.least',
        step.minMinutes,
        { min: 0, max: 86_400, unit: 'min', width: 130 },
        (minMinutes) => set({ minMinutes }),
      )}
      {figure(
        'stepFields.most',
        step.maxMinutes,
        { min: 0, max: 86_400, unit: 'min', width: 130 },
        (maxMinutes) => set({ maxMinutes }),
      )}
    </>
  ),
  level: ({ step, set, pick }) =>
    pick(
      'editorPage.boil',
      step.level,
      BOIL_LEVEL_IDS.map((id) => [id, `stepFields.level.${id}`] as const),
      (level) => set({ level: level as RecipeStep['level'] }),
    ),
  lid: ({ step, set, pick }) =>
    pick(
      'stepFields.lid',
      step.lid,
      LIDS.map((id) => [id, `stepFields.lid.${id}`] as const),
      (lid) => set({ lid: lid as RecipeStep['lid'] }),
    ),
  heatTo: ({ step, set, pick }) =>
    pick(
      'stepFields.heatTo',
      step.heatTo,
      HEATS_TO.map((id) => [id, `stepFields.heatTo.${id}`] as const),
      (heatTo) => set({ heatTo: heatTo as RecipeStep['heatTo'] }),
    ),
  toC: ({ step, set, figure }) =>
    figure('stepFields.toC', step.toC, { min: 1, max: 99, unit: '°C' }, (toC) => set({ toC })),
  downTo: ({ step, set, figure }) => (
    <>
      {figure(
        'stepFields.downToL',
        step.downToL,
        { min: 0.05, max: 400, decimals: 2, unit: 'L' },
        (downToL) => set({ downToL, downToShare: undefined, downToCm: undefined }),
      )}
      {figure(
        'stepFields.downToShare',
        step.downToShare === undefined ? undefined : step.downToShare * 100,
        { min: 5, max: 99, unit: '%', width: 170 },
        (percent) => set({ downToShare: percent / 100, downToL: undefined, downToCm: undefined }),
      )}
      {figure(
        'stepFields.downToCm',
        step.downToCm,
        { min: 0.5, max: 60, decimals: 1, unit: 'cm', width: 170 },
        (downToCm) => set({ downToCm, downToL: undefined, downToShare: undefined }),
      )}
    </>
  ),
  everyMin: ({ step, set, figure }) =>
    figure(
      `stepFields.everyMin.${step.kind as 'soak'}`,
      step.everyMin,
      { min: 1, max: 86_400, unit: 'min', width: 170 },
      (everyMin) => set({ everyMin }),
    ),
  branch: ({ step, set, figure }) => {
    // Begun with any of the three it has usual values for the others.
    const branch = step.branch ?? { afterMin: step.minMinutes ?? 240, waterL: 1, boilMin: 15 };
    const part = (change: Partial<typeof branch>) => set({ branch: { ...branch, ...change } });
    return (
      <>
        {figure(
          'stepFields.branch.after',
          step.branch?.afterMin,
          { min: 0, max: 86_400, unit: 'min', width: 200 },
          (afterMin) => (afterMin === 0 ? set({ branch: undefined }) : part({ afterMin })),
        )}
        {figure(
          'stepFields.branch.water',
          step.branch?.waterL,
          { min: 0.1, max: 100, decimals: 2, unit: 'L', width: 190 },
          (waterL) => part({ waterL }),
        )}
        {figure(
          'stepFields.branch.boil',
          step.branch?.boilMin,
          { min: 1, max: 180, unit: 'min', width: 190 },
          (boilMin) => part({ boilMin }),
        )}
      </>
    );
  },
  hygiene: ({ step, set, pick }) =>
    pick(
      'stepFields.hygiene',
      step.hygiene,
      HYGIENES.map((id) => [id, `stepFields.hygiene.${id}`] as const),
      (hygiene) => set({ hygiene: hygiene as RecipeStep['hygiene'] }),
    ),
};

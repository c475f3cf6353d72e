import '../../../words/places/drinks.ts';
import type { StepField } from '@big-ladle/core/book';
import type { RecipeLot, RecipeStep } from '@big-ladle/core/documents';
import type { ReactNode } from 'react';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { type MessageKey, say } from '../../../words/say.ts';
import { PickField } from '../PickField.tsx';

/** What every field of a step is given. */
export interface FieldProps {
  step: RecipeStep;
  /** What the step is called, for what is read out. */
  name: string;
  /** The lots into which the drink is divided before it. */
  lots: readonly RecipeLot[];
  /** What a line is called. */
  lineName: (lineId: string) => string;
  onChange: (step: RecipeStep) => void;
}

/** Where what may be said is longer. */
export const WIDE_PX = 200;
/** As usual: nothing is said of it. */
export const USUAL = '';
/** How a field is shown, and how what is entered in it is put into the step. */
export interface FieldTools extends FieldProps {
  set: (change: Partial<RecipeStep>) => void;
  figure: (
    label: MessageKey,
    value: number | undefined,
    limits: { min: number; max: number; decimals?: number; unit?: string; width?: number },
    onValue: (value: number) => void,
  ) => ReactNode;
  pick: (
    label: MessageKey,
    value: string | undefined,
    options: readonly (readonly [string, MessageKey])[],
    onPick: (value: string | undefined) => void,
    wide?: boolean,
  ) => ReactNode;
}

/** The fields of one kind, each by what it says. */
export type Fields<K extends StepField> = Readonly<Record<K, (tools: FieldTools) => ReactNode>>;

export function toolsOf(props: FieldProps): FieldTools {
  const { step, name, onChange } = props;
  return {
    ...props,
    set: (change) => {
      const next = { ...step, ...change };
      // What is as usual is not written down.
      for (const key of Object.keys(change) as (keyof RecipeStep)[])
        if (next[key] === undefined) delete next[key];
      onChange(next);
    },
    figure: (label, value, limits, onValue) => (
      <QuantityField
        label={say(label)}
        said={say('stepFields.of', { label: say(label), name })}
        value={value ?? null}
        decimals={0}
        width={120}
        {...limits}
        onValue={onValue}
      />
    ),
    pick: (label, value, options, onPick, wide = false) => (
      <PickField
        label={say(label)}
        name={name}
        value={value ?? USUAL}
        options={[[USUAL, say('stepFields.usual')], ...options.map(([id, text]) => [id, say(text)] as const)]}
        onPick={(v) => onPick(v === USUAL ? undefined : v)}
        minWidth={wide ? WIDE_PX : undefined}
      />
    ),
  };
}

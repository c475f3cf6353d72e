import type { OwnStepKind, RecipeStep } from '../../documents/recipe.ts';
import type { ExpectedDrink } from './types.ts';

/** An amount as a text says it. */
export interface ExpectedAmount {
  kind: 'said' | 'taste' | 'cover' | 'few' | 'none';
  value?: number;
  max?: number;
  /** A word for a measure; null: so many of the thing itself. */
  unit?: string | null;
  /** "heaped", "packed", "big". */
  how?: string;
}

export interface ExpectedLine {
  /** An item id, a family id, or a name that no table knows. */
  item: string;
  unknown: boolean;
  amount: ExpectedAmount;
  /** Steps, counted from nought. */
  at: readonly number[];
}

export interface ExpectedStep {
  kind: OwnStepKind;
  minutes?: { value: number; max?: number };
  tempC?: number;
  times?: number;
  heatTo?: string;
  passes?: readonly { by: string; times: number }[];
  lid?: RecipeStep['lid'];
  place?: RecipeStep['place'];
  press?: RecipeStep['press'];
  level?: RecipeStep['level'];
  thrown?: boolean;
  keep?: boolean;
  cue?: boolean;
}

export interface Expected {
  title: string | null;
  yield: ExpectedAmount | null;
  lines: readonly ExpectedLine[];
  steps: readonly ExpectedStep[];
}

const HOW = new Set(['heaped', 'packed', 'big', 'small', 'good', 'level', 'scant']);
const MINUTES = { m: 1, h: 60, d: 1440 } as const;

const figure = (text: string): number => {
  const [top, bottom] = text.split('/').map(Number);
  const value = bottom ? top! / bottom : top!;
  if (!Number.isFinite(value)) throw new RangeError(`no figure: ${text}`);
  return value;
};

export function amountFrom(text: string): ExpectedAmount {
  const words = text.trim().split(/\s+/);
  const [first] = words;
  if (first === '-') return { kind: 'none' };
  if (first === 'taste' || first === 'cover') return { kind: first };
  if (first === 'few') return { kind: 'few', unit: words[1] ?? null };
  const [from, to] = first!.split('-');
  const how = words.find((w) => HOW.has(w));
  const unit = words.slice(1).find((w) => !HOW.has(w)) ?? null;
  return {
    kind: 'said',
    value: figure(from!),
    ...(to ? { max: figure(to) } : {}),
    unit,
    ...(how ? { how } : {}),
  };
}

function lineFrom(text: string): ExpectedLine {
  const [item, amount, at] = text.split('|').map((s) => s.trim());
  if (!item || !amount || !at) throw new RangeError(`no line: ${text}`);
  return {
    item: item.replace(/^\?/, ''),
    unknown: item.startsWith('?'),
    amount: amountFrom(amount),
    at: at === '-' ? [] : at.split('+').map((n) => Number(n) - 1),
  };
}

function stepFrom(text: string): ExpectedStep {
  const [kind, ...said] = text.split(' ');
  const step: ExpectedStep = { kind: kind as OwnStepKind };
  for (const word of said) {
    const length = /^([\d.]+)(?:-([\d.]+))?([mhd])$/.exec(word);
    const temp = /^(\d+)C$/.exec(word);
    const times = /^x(\d+)$/.exec(word);
    const [key, value] = word.split(':');
    if (length) {
      const per = MINUTES[length[3] as 'm'];
      step.minutes = {
        value: Number(length[1]) * per,
        ...(length[2] ? { max: Number(length[2]) * per } : {}),
      };
    } else if (temp) step.tempC = Number(temp[1]);
    else if (times) step.times = Number(times[1]);
    else if (key === 'to') step.heatTo = value!;
    else if (key === 'by')
      step.passes = value!.split('+').map((pass) => {
        const [by, n] = pass.split('*');
        return { by: by!, times: Number(n ?? 1) };
      });
    else if (key === 'lid') step.lid = value as 'on';
    else if (key === 'place') step.place = value as 'fridge';
    else if (key === 'press') step.press = value as 'press';
    else if (key === 'level') step.level = value as 'simmer';
    else if (word === 'thrown' || word === 'keep' || word === 'cue') step[word] = true;
    else throw new RangeError(`no word of a step: ${word}`);
  }
  return step;
}

/** What is expected of a drink, taken from its short notation. @throws RangeError where a note cannot be read. */
export const expectedOf = (drink: ExpectedDrink): Expected => ({
  title: drink.title ?? null,
  yield: drink.yield ? amountFrom(drink.yield) : null,
  lines: drink.lines.map(lineFrom),
  steps: drink.steps.map(stepFrom),
});

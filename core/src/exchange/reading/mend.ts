import { familyOfItem } from '../../tables/families.ts';
import type { Tables } from '../../tables/types.ts';
import { gramsOfRead } from './amounts.ts';
import { checksOf } from './checks.ts';
import { plainStep, type ReadDrink, type ReadingKit, type ReadLine, type ReadStep } from './types.ts';

/** What a cook has set right of one line. */
export interface LineFix {
  itemId?: string;
  massG?: number;
  /** It is as it was read. */
  sure?: boolean;
  left?: boolean;
}

/** What a cook has set right of one step. */
export interface StepFix {
  minutes?: number;
  sure?: boolean;
  left?: boolean;
}

export interface Fixes {
  lines: Readonly<Record<string, LineFix>>;
  steps: Readonly<Record<string, StepFix>>;
  /** It was never heated, and is to be boiled so long, before it is strained. */
  boilMin?: number;
  /** Lines put in by hand, for words that nobody understood. */
  added: readonly ReadLine[];
}

export const NO_FIXES: Fixes = { lines: {}, steps: {}, added: [] };

/** A line that is another thing than was read: its amount is weighed anew as that thing. */
export function lineAs(line: ReadLine, itemId: string, tables: Tables, kit: ReadingKit): ReadLine {
  const family = familyOfItem(itemId);
  const grams = line.amount ? gramsOfRead(line.amount, itemId, family, tables, kit) : null;
  return {
    ...line,
    itemId,
    familyId: family?.id ?? null,
    massG: grams?.grams ?? line.massG,
  };
}

/** A drink with what the cook has set right; what she left out is gone. Lines keep their ids. */
export function mended(drink: ReadDrink, fixes: Fixes, tables: Tables, kit: ReadingKit): ReadDrink {
  const lines = [...drink.lines, ...fixes.added].flatMap((line) => {
    const fix = fixes.lines[line.id];
    if (!fix) return [line];
    if (fix.left) return [];
    const said = fix.itemId ? lineAs(line, fix.itemId, tables, kit) : line;
    const massG =
      fix.massG === undefined ? said.massG : { likely: fix.massG, min: fix.massG, max: fix.massG };
    return [
      {
        ...said,
        massG,
        doubts: isSettled(said.itemId, massG !== null || said.amount?.kind === 'taste', fix)
          ? []
          : said.doubts,
      },
    ];
  });
  const steps = drink.steps.flatMap((step) => {
    const fix = fixes.steps[step.id];
    if (!fix) return [step];
    if (fix.left) return [];
    const minutes = fix.minutes === undefined ? step.minutes : { value: fix.minutes };
    return [{ ...step, minutes, doubts: fix.sure || fix.minutes !== undefined ? [] : step.doubts }];
  });
  const whole = fixes.boilMin === undefined ? steps : boiled(steps, fixes.boilMin);
  return { ...drink, lines, steps: whole, checks: checksOf({ lines, steps: whole }, tables) };
}

/** With a boil of so many minutes before it is strained, or at the end. */
function boiled(steps: readonly ReadStep[], minutes: number): ReadStep[] {
  const at = steps.findIndex((s) => s.kind === 'strain' || s.kind === 'bottle');
  const near = steps[Math.max(0, at)] ?? steps[0];
  if (!near) return [...steps];
  const boil: ReadStep = {
    ...plainStep(),
    id: 'boil',
    span: near.span,
    kind: 'boil',
    minutes: { value: minutes },
    level: 'gentle',
  };
  const out = [...steps];
  out.splice(at < 0 ? steps.length : at, 0, boil);
  return out;
}

/** Whatever was mended is no longer in doubt, once it is known what it is and how much. */
const isSettled = (itemId: string | null, weighed: boolean, fix: LineFix): boolean =>
  itemId !== null && weighed && (fix.sure === true || fix.massG !== undefined || fix.itemId !== undefined);

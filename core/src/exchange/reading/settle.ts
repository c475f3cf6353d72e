import { takesLines } from '../../program/book/lineMoves.ts';
import { itemFacts } from '../items.ts';
import type { DraftLine } from './lines/draftLine.ts';
import { itemOf } from './lines/itemOf.ts';
import type { Lines } from './lines/lines.ts';
import type { DraftStep, StepBuilder } from './steps/builder.ts';
import { plainStep } from './types.ts';

const WASHED: ReadonlySet<string> = new Set(['washed', 'scrubbed', 'rinsed']);
const FILLS = new Set(['combine', 'soak', 'blend', 'heat', 'boil', 'steep', 'mix', 'sweeten']);
const COOKS = new Set(['heat', 'boil', 'steep', 'soak', 'blend']);

const step = (
  kind: DraftStep['kind'],
  near: DraftStep,
  id: string,
  more: Partial<DraftStep> = {},
): DraftStep => ({
  ...plainStep(),
  id,
  kind,
  span: near.span,
  implied: true,
  doubts: new Set(),
  everything: null,
  spans: [],
  ...more,
});

/** What nobody wrote and the rest means: a boil has its heating; what is only named boiling is brought to the boil. */
export function withHeatings(steps: StepBuilder): void {
  const { all } = steps;
  // "Boil the water. Add the flowers.": it is brought to the boil, and that is all.
  for (const [i, s] of all.entries()) {
    const next = all[i + 1];
    if (s.kind !== 'boil' || s.minutes || s.cue || s.downToShare) continue;
    if (next && (next.kind === 'combine' || next.kind === 'mix' || (next.kind === 'steep' && !s.level))) {
      s.kind = 'heat';
      s.heatTo = 'boil';
      s.doubts.delete('noTime');
    }
  }
  let hot = false;
  for (let i = 0; i < all.length; i++) {
    const s = all[i]!;
    if (s.kind === 'heat' || s.kind === 'boil') {
      if (s.kind === 'boil' && !hot) {
        const heat = step('heat', s, `${s.id}h`, { heatTo: 'boil' });
        all.splice(i, 0, heat);
        i++;
      }
      hot = true;
    } else if (s.kind === 'strain' || s.kind === 'cool') hot = false;
  }
}

/** What goes in at a step that takes nothing was put in before it: what is put on the fire is in the pot by then. */
function withFillings(all: DraftStep[], lines: Lines): void {
  for (let i = 0; i < all.length; i++) {
    const s = all[i]!;
    if (takesLines(s.kind)) continue;
    const mine = lines.all.filter((l) => l.at.some((a) => a.stepId === s.id));
    if (!mine.length) continue;
    // Before the heating that a boil implies.
    const at = i > 0 && s.kind === 'boil' && all[i - 1]!.kind === 'heat' && all[i - 1]!.implied ? i - 1 : i;
    const before = all[at - 1];
    const fill = before?.kind === 'combine' && before.implied ? before : step('combine', s, `${s.id}f`);
    for (const l of mine) for (const a of l.at) if (a.stepId === s.id) a.stepId = fill.id;
    if (fill !== before) {
      all.splice(at, 0, fill);
      i++;
    }
  }
}

/** What is put in before the last heating goes into the pot; after it, it is stirred in. */
function kindsOfPuts(all: DraftStep[]): void {
  for (const [i, s] of all.entries()) {
    if (s.kind !== 'combine' && s.kind !== 'mix') continue;
    const cooks = all.slice(i + 1).some((n) => n.kind === 'heat' || n.kind === 'boil');
    const done = all.slice(0, i).some((n) => n.kind === 'strain');
    s.kind = cooks || !done || s.vessel === 'pot' || s.vessel === 'blender' ? 'combine' : 'mix';
  }
}

/** Every line at the steps where it goes in: those that name it, "everything", or where such a thing usually goes. */
export function placeAll(steps: StepBuilder, lines: Lines): void {
  const { all } = steps;
  const index = new Map(all.map((s, i) => [s.id, i]));
  for (const line of lines.all) {
    if (line.at.some((a) => !a.weak)) line.at = line.at.filter((a) => !a.weak);
  }
  for (const s of all) {
    if (!s.everything) continue;
    for (const line of lines.all) {
      if (line.at.some((a) => !a.weak)) continue;
      if (line.familyId && s.everything.except.includes(line.familyId)) continue;
      if (line.at.length && index.get(line.at[0]!.stepId)! > index.get(s.id)!) continue;
      line.at = [{ stepId: s.id, weak: false }];
    }
  }
  // A soak that is rinsed off is thrown away, with what was in it.
  for (const [i, s] of all.entries()) {
    if (s.kind !== 'soak' || !(s.thrown || all[i + 1]?.kind === 'wash')) continue;
    s.thrown = true;
    for (const line of [...lines.all]) {
      const here = line.at.some((a) => a.stepId === s.id);
      const bath = line.family?.plainWater || line.family?.washes;
      if (!here) continue;
      // "Soak in 2 L of the water": so much of it is for the bath.
      const portion = line.at.find((a) => a.stepId === s.id)?.portion;
      if (bath && line.listed && (portion || line.at.length === 1)) continue;
      line.at = line.at.filter((a) => a.stepId !== s.id);
      if (!s.handles.includes(line.id)) s.handles.push(line.id);
      if (bath && !line.at.length && !line.listed) lines.all.splice(lines.all.indexOf(line), 1);
    }
  }
  // "Ginger, washed": it is washed before anything is done with it.
  const unwashed = lines.all.filter(
    (l) =>
      l.forms.some((f) => WASHED.has(f)) &&
      !all.some((s) => s.kind === 'wash' && (s.handles.includes(l.id) || !s.handles.length)),
  );
  const [first] = all;
  if (unwashed.length && first)
    all.unshift(step('wash', first, 'wash', { handles: unwashed.map((l) => l.id) }));
  // A fruit of which only parts go in: the parts are the lines.
  for (const line of [...lines.all])
    if (
      line.at.every((a) => a.weak) &&
      lines.all.some((l) => l !== line && l.familyId === line.familyId && l.copyOf === line.id)
    )
      lines.all.splice(lines.all.indexOf(line), 1);
  // Named in passing, without an amount and without a place: no part of the drink.
  for (const line of [...lines.all])
    if (!line.at.length && !line.amount && !line.listed && !line.toTaste)
      lines.all.splice(lines.all.indexOf(line), 1);
  for (const line of lines.all) if (!line.at.length && !line.optional) leftOver(line, steps, lines);
  withFillings(all, lines);
  kindsOfPuts(all);
  // A filling that nobody wrote and that has nothing to fill in is none.
  const filled = new Set(lines.all.flatMap((l) => l.at.map((a) => a.stepId)));
  for (const s of [...all])
    if (s.implied && (s.kind === 'combine' || s.kind === 'mix') && !filled.has(s.id))
      all.splice(all.indexOf(s), 1);
}

/** Nobody said where it goes: water and plants into the first filling, what sweetens or is poured in after the straining. */
function leftOver(line: DraftLine, steps: StepBuilder, lines: Lines): void {
  const { all } = steps;
  const kind = line.family ? itemFacts(itemOf(line).itemId ?? '', lines.tables)?.kind : undefined;
  const strained = all.findLastIndex((s) => s.kind === 'strain');
  const late = line.family?.sweetens || (kind === 'liquid' && !line.family?.plainWater);
  const home = late
    ? (all.findLast((s, i) => i > strained && (s.kind === 'sweeten' || s.kind === 'mix')) ??
      all.find((s) => FILLS.has(s.kind)))
    : (all.find((s) => s.kind === 'combine') ??
      all.find((s) => COOKS.has(s.kind)) ??
      all.find((s) => FILLS.has(s.kind)));
  if (home) {
    line.at.push({ stepId: home.id, weak: true });
    // With one place to go, there is nothing to guess.
    const places = all.filter(
      (s, i) =>
        (late ? i > strained : i < strained || strained < 0) &&
        (s.kind === 'combine' || s.kind === 'mix' || s.kind === 'sweeten'),
    );
    line.placeGuessed = places.length > 1;
  }
}

import '../../../words/places/pages.ts';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { type Burner, EMPTY_KITCHEN, type Kitchen, type MethodId, type Pot } from '@big-ladle/core/documents';
import { lastWholeDay, plannedLife } from '@big-ladle/core/keeping';
import { volumeMl } from '@big-ladle/core/liquor';
import { solvePlan } from '@big-ladle/core/plan';
import { simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import { describe, expect, it } from 'vitest';
import { colours } from '../../../shared/batch/liquorColour.ts';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { stepHow } from '../../../shared/batch/stepWords.ts';
import { dayOf } from '../../../words/say.ts';
import { potView, stageMinutes, stageOf, stagesOf } from './figures.ts';

const pot: Pot = {
  id: 'p',
  name: 'Blue pot',
  diameterCm: 30,
  heightCm: 24,
  material: 'enamel',
  lid: true,
  massG: null,
};
const burner: Burner = { id: 'b', name: 'Ring', kind: 'gas', powerW: 3000 };
const kitchen: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: [pot],
  burners: [burner],
  bottles: [{ id: 'x', name: 'Tall', volumeMl: 750, diameterCm: 8, material: 'glass', count: 20 }],
};
const NOW = Date.UTC(2026, 10, 24, 21, 12);

function batch(methodId: MethodId, litres = 9) {
  const recipe = BOOK[0]!;
  const { program } = unwrap(
    solvePlan({
      recipe,
      choices: defaultChoices(recipe, methodId),
      kitchen,
      tables: SHIPPED_TABLES,
      pot,
      burner,
      wish: { question: { kind: 'litres', litres }, fills: 1 },
    }),
  );
  const sim = simulateBatch(program, kitchen, SHIPPED_TABLES);
  return { program, sim };
}
const lifeFor = (b: ReturnType<typeof batch>, hygiene?: 'clean' | 'sterilised') =>
  plannedLife(b.program, b.sim, kitchen, { startMs: NOW, nowMs: NOW }, hygiene);
const stages = (b: ReturnType<typeof batch>, doneUntil: Parameters<typeof stagesOf>[0]['doneUntil'] = null) =>
  stagesOf({ ...b, kitchen, pot, life: lifeFor(b), doneUntil });
const figureOf = (b: ReturnType<typeof batch>, id: string) => stages(b).find((s) => s.id === id)!;

describe('the line', () => {
  const b = batch('shortBoilLongSteep');
  it('has one figure a stage, read from the trace', () => {
    const strained = b.sim.trace.find((t) => t.kind === 'strain')!;
    expect(figureOf(b, 'strain').figure).toBe(strained.now.volumeL.toFixed(1));
    // All its sugar, shared out by the glass.
    const end = b.sim.trace.at(-1)!;
    const aGlass = (end.after.liquor.sugarG * kitchen.servingMl) / (end.now.volumeL * 1000);
    expect(figureOf(b, 'balance')).toMatchObject({ figure: aGlass.toFixed(0), unit: 'g sugar a glass' });
    expect(figureOf(b, 'wash').unit).toBe('min, 4 rinses');
    // 9.0 L in bottles of 720 mL: twelve, and 360 mL over
    expect(figureOf(b, 'bottle')).toMatchObject({ figure: '12', unit: 'bottles' });
    expect(figureOf(b, 'draw').unit).toBe('h');
  });
  it('says what is done, now and later', () => {
    expect(stages(b).map((s) => s.state)).toEqual([
      'now',
      'later',
      'later',
      'later',
      'later',
      'later',
      'later',
    ]);
    expect(stages(b, 'strain').map((s) => s.state)).toEqual([
      'done',
      'done',
      'done',
      'now',
      'later',
      'later',
      'later',
    ]);
  });
  it('counts every minute of the batch in one stage only', () => {
    const sum = (['wash', 'draw', 'strain', 'balance', 'bottle'] as const).reduce(
      (m, id) => m + stageMinutes(b.program, b.sim, id),
      0,
    );
    expect(sum).toBeCloseTo(b.sim.endMin, 6);
  });
  it('cooling before the straining belongs to the drawing, after it to the straining', () => {
    const cool = (x: typeof b) => x.program.steps.find((s) => s.kind === 'cool')!;
    expect(stageOf(b.program, cool(b))).toBe('draw');
    const straight = batch('straightBoil');
    expect(stageOf(straight.program, cool(straight))).toBe('strain');
  });
});

describe('the pot in the drawing', () => {
  it('stands as high as the trace has it, with room for foam below the mark', () => {
    const b = batch('straightBoil');
    const view = potView(b.program, b.sim, pot)!;
    const heat = b.sim.trace.find((t) => t.kind === 'heat')!;
    expect(view.levelCm).toBe(heat.now.levelCm);
    // 12 % of 24 cm; 92 % of 24 cm
    expect(view.foamCm).toBeCloseTo(2.88, 6);
    expect(view.limitCm).toBeCloseTo(22.08, 6);
    expect(view.potShare).toBeCloseTo((view.levelCm + view.foamCm) / view.limitCm, 6);
    expect(view.marks.map((m) => m.text.split(' ')[0])).toEqual(['after', 'strained']);
    expect(view.description).toContain(`${view.levelCm.toFixed(1)} cm`);
  });
  it('a larger wish stands higher', () => {
    const level = (l: number) => {
      const b = batch('straightBoil', l);
      return potView(b.program, b.sim, pot)!.levelCm;
    };
    expect(level(8)).toBeGreaterThan(level(5));
  });
});

describe('dates and looks', () => {
  it('the deadline counts from the first fall below 60 °C, and the line shows its last whole day', () => {
    const b = batch('straightBoil');
    const fell = b.sim.vessels.bottles!.liquor.origins.find((o) => o.kind === 'solid')!.below60Min!;
    expect(fell).toBeLessThan(b.sim.endMin);
    // Seven days from then, at rate 1 but for the quarter of an hour in which the cold bottle is a little over 5 °C.
    const { deadlineMs } = lifeFor(b)!;
    const hours = (deadlineMs - NOW - fell * 60_000) / 3_600_000;
    expect(hours).toBeGreaterThan(7 * 24 - 8);
    expect(hours).toBeLessThanOrEqual(7 * 24);
    expect(figureOf(b, 'keep').figure).toBe(dayOf(lastWholeDay(deadlineMs, 'UTC'), 'UTC'));
  });
  it('bottles that turned out only clean keep at most four days, whatever was planned', () => {
    const b = batch('straightBoil');
    const days = (hygiene: 'clean' | 'sterilised') => lifeFor(b, hygiene)!.deadlineMs / 86_400_000;
    expect(days('sterilised') - days('clean')).toBeCloseTo(3, 6);
  });
  it('a calyx brew is red, an empty vessel nearly white', () => {
    const b = batch('straightBoil');
    const { spoon } = colours(b.sim.trace.find((t) => t.kind === 'boil'));
    expect(Number.parseInt(spoon.slice(1, 3), 16)).toBeGreaterThan(
      2 * Number.parseInt(spoon.slice(3, 5), 16),
    );
    expect(colours(undefined).glass).toBe('#f4f4f2');
    expect(volumeMl(b.sim.vessels.bottles!.liquor)).toBeGreaterThan(0);
  });
  it('every step of both methods has a name and a line on how', () => {
    for (const methodId of ['shortBoilLongSteep', 'straightBoil'] as const) {
      const { program } = batch(methodId);
      for (const step of program.steps) {
        expect(stepName(step, program)).not.toMatch(/^step\./);
        expect(stepHow(step, program)).not.toMatch(/^how\.|\{\w+\}/);
        expect(stepHow(step, program).length).toBeGreaterThan(8);
      }
    }
  });
});

import fc from 'fast-check';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { TABLES } from '../testKitchen.ts';
import { notApart } from './apart.ts';
import { learntOf } from './forecast.ts';
import { type Hiding, hiddenKitchen } from './hiddenKitchens.fixtures.ts';
import { isReadingFactor, type LearntId, priorSpread } from './priors.ts';
import { proveLearning } from './proof.fixtures.ts';
import { type Belief, type Beliefs, type Evidence, SCATTER, solveBeliefs } from './solve.ts';

const priorOf = (id: LearntId) => priorSpread(id, TABLES);
const solve = (evidence: readonly Evidence[], more: { held?: ReadonlyMap<LearntId, number> } = {}) =>
  solveBeliefs(evidence, { priorOf, nowMs: null, ...more });
const ones = (evidence: readonly Evidence[]) => evidence.map((e) => e.residuals.map(() => 1));
const of = ({ beliefs }: Beliefs, id: LearntId): Belief => beliefs.find((b) => b.id === id)!;
const STRAIGHT = 0;
const SIMMERED = 3;
const madeIn = (truth: [LearntId, number][], drink: number, how: Partial<Hiding> = {}) =>
  hiddenKitchen(1, {
    truth: new Map(truth),
    drink,
    batches: 3,
    blunderIn: 0,
    exact: true,
    ...how,
  }).batches.map((b) => b.evidence);

/** What several factors come to together, and how surely. */
function together(learnt: Beliefs, ids: readonly LearntId[]): { mean: number; spread: number } {
  const at = new Map(learnt.free.map((id, i) => [id, i]));
  const columns = ids.flatMap((id) => (at.has(id) ? [at.get(id)!] : []));
  const variance = columns.reduce(
    (sum, i) => sum + columns.reduce((all, k) => all + learnt.covariance[i]![k]!, 0),
    0,
  );
  return {
    mean: columns.reduce((sum, i) => sum + of(learnt, learnt.free[i]!).mean, 0),
    spread: Math.sqrt(variance),
  };
}

describe('what a kitchen’s own batches tell of it', () => {
  it('a ring that gives 70 % is known from the minutes until it boils', () => {
    const learnt = solve(madeIn([['power:gas', Math.log(0.7)]], STRAIGHT));
    // Read without an error three times; the prior of 12 % pulls a little towards the book.
    expect(Math.exp(of(learnt, 'power:gas').mean)).toBeGreaterThan(0.68);
    expect(Math.exp(of(learnt, 'power:gas').mean)).toBeLessThan(0.75);
    expect(of(learnt, 'power:gas').spread).toBeLessThan(0.05);
  });

  it('a pot that steams 30 % more and a press that holds 20 % more are told apart by heights before straining', () => {
    const truth: [LearntId, number][] = [
      ['boilOff:blue', Math.log(1.3)],
      ['press:press', Math.log(1.2)],
    ];
    const steam: LearntId[] = ['boilOff:blue', 'boilRing:gas', 'boilLevel:gentle', 'boilLevel:simmer'];
    const kept: LearntId[] = ['press:press', 'held:hibiscus-dried', 'held:ginger-bruised', 'strainLoss'];
    const withHeights = solve(madeIn(truth, SIMMERED));
    expect(of(withHeights, 'boilOff:blue').mean).toBeGreaterThan(0.1);
    expect(together(withHeights, steam).mean).toBeGreaterThan(Math.log(1.3) / 2);
    expect(of(withHeights, 'boilOff:blue').spread).toBeLessThan(0.7 * of(withHeights, 'boilOff:blue').prior);
    // Without them both explain that less came out; what each is by itself stays open, and it is said.
    const without = solve(madeIn(truth, SIMMERED, { heights: false }));
    expect(together(without, steam).spread).toBeGreaterThan(1.3 * together(withHeights, steam).spread);
    expect(of(without, 'boilOff:blue').spread).toBeGreaterThan(0.8 * of(without, 'boilOff:blue').prior);
    expect(together(withHeights, kept).mean).toBeGreaterThan(0);
    const said = (learnt: Beliefs) => notApart(learnt).map(({ ids }) => [...ids].sort().join(' '));
    expect(said(without)).toContain('boilOff:blue held:hibiscus-dried');
    expect(said(withHeights)).not.toContain('boilOff:blue held:hibiscus-dried');
    // How hard a hand presses and what a plant holds are one to the sieve, heights or none.
    expect(said(withHeights)).toContain('held:hibiscus-dried press:press');
  });

  it('a jug that is 5 % short is named, and what it measured is not put down to the drink', () => {
    // What was filled into bottles of a known size says that nothing is missing.
    const learnt = solve(madeIn([['jug', Math.log(1.05)]], STRAIGHT));
    expect(of(learnt, 'jug').mean).toBeGreaterThan(0.03);
    for (const id of ['boilOff:blue', 'press:press', 'held:hibiscus-dried', 'strainLoss'] as const)
      expect(Math.abs(of(learnt, id).mean)).toBeLessThan(0.2 * of(learnt, id).prior);
  });

  it('by the book nothing is learnt of a kitchen that is as the book says', () => {
    const learnt = solve(madeIn([], STRAIGHT));
    for (const b of learnt.beliefs) expect(Math.abs(b.mean)).toBeLessThan(0.1 * b.prior);
  });
});

/** Evidence of its own making: some readings of a few factors, in batches. */
const IDS = ['power:gas', 'boilOff:blue', 'press:press', 'strainLoss', 'jug'] as const;
const arbitraryEvidence = fc
  .array(
    fc.array(
      fc.record({
        value: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        spread: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        by: fc.constantFrom(null, 'jug' as const),
        moves: fc.dictionary(
          fc.constantFrom(...IDS.slice(0, 4)),
          fc.double({ min: -1.5, max: 1.5, noNaN: true }).filter((x) => Math.abs(x) > 0.01),
          { maxKeys: 3 },
        ),
      }),
      { minLength: 1, maxLength: 5 },
    ),
    { minLength: 1, maxLength: 5 },
  )
  .map((batches): Evidence[] =>
    batches.map((residuals, i) => ({
      batchId: `b${i}`,
      atMs: i,
      residuals: residuals.map(({ value, spread, by, moves }) => ({
        read: { what: 'filled', stepId: 's', spread, by },
        value,
        moves: new Map(Object.entries(moves)) as Evidence['residuals'][number]['moves'],
      })),
    })),
  );

/** The same answer by the other way round: in the space of the readings, x = P Jᵀ C⁻¹ y. */
function inReadings(evidence: readonly Evidence[]): Map<LearntId, { mean: number; spread: number }> {
  const rows = evidence.flatMap(({ residuals }, batch) => residuals.map((r) => ({ ...r, batch })));
  const move = (r: (typeof rows)[number], id: LearntId) =>
    isReadingFactor(id) ? (r.read.by === id ? 1 : 0) : (r.moves.get(id) ?? 0);
  const c = new Matrix(
    rows.map((a, i) =>
      rows.map((b, k) =>
        IDS.reduce(
          (sum, id) =>
            sum +
            move(a, id) *
              move(b, id) *
              priorOf(id) ** 2 *
              (1 + (a.batch === b.batch && id !== 'jug' ? SCATTER ** 2 : 0)),
          i === k ? a.read.spread ** 2 : 0,
        ),
      ),
    ),
  );
  const inverse = new CholeskyDecomposition(c).solve(Matrix.eye(rows.length));
  const pulled = inverse.mmul(Matrix.columnVector(rows.map((r) => r.value))).to1DArray();
  return new Map(
    IDS.map((id) => {
      const g = rows.map((r) => move(r, id) * priorOf(id) ** 2);
      const less = Matrix.rowVector(g).mmul(inverse).mmul(Matrix.columnVector(g)).get(0, 0);
      return [
        id,
        {
          mean: g.reduce((sum, value, i) => sum + value * pulled[i]!, 0),
          spread: Math.sqrt(Math.max(0, priorOf(id) ** 2 - less)),
        },
      ];
    }),
  );
}

describe('laws of what is believed', () => {
  it('no reading, no change', () => {
    expect(solve([]).beliefs).toEqual([]);
    expect(learntOf(solve([])).factors).toEqual({});
  });

  it('it is the answer of a normal model, worked out the other way round', () => {
    fc.assert(
      fc.property(arbitraryEvidence, (evidence) => {
        const learnt = solveBeliefs(evidence, { priorOf, nowMs: null, weights: ones(evidence) });
        const other = inReadings(evidence);
        for (const { id, mean, spread } of learnt.beliefs) {
          expect(mean).toBeCloseTo(other.get(id)!.mean, 8);
          expect(spread).toBeCloseTo(other.get(id)!.spread, 8);
        }
        // What no reading moves is as it was before, and is not among what was learnt.
        for (const id of IDS)
          if (!learnt.beliefs.some((b) => b.id === id))
            expect(other.get(id)).toEqual({ mean: 0, spread: priorOf(id) });
      }),
      { numRuns: 100 },
    );
  });

  it('the order of batches does not matter', () => {
    fc.assert(
      fc.property(arbitraryEvidence, (evidence) => {
        const forward = solve(evidence);
        const back = solve([...evidence].reverse());
        for (const b of forward.beliefs) {
          expect(of(back, b.id).mean).toBeCloseTo(b.mean, 6);
          expect(of(back, b.id).spread).toBeCloseTo(b.spread, 6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('no evidence makes a belief less sure, its weights held fixed', () => {
    fc.assert(
      fc.property(arbitraryEvidence, (evidence) => {
        const fewer = evidence.slice(0, -1);
        const before = solveBeliefs(fewer, { priorOf, nowMs: null, weights: ones(fewer) });
        const after = solveBeliefs(evidence, { priorOf, nowMs: null, weights: ones(evidence) });
        for (const b of before.beliefs) expect(of(after, b.id).spread).toBeLessThanOrEqual(b.spread + 1e-9);
        for (const b of after.beliefs) expect(b.spread).toBeLessThanOrEqual(b.prior + 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('what is held fixed stays, and what it explains is not put down to others', () => {
    fc.assert(
      fc.property(arbitraryEvidence, fc.double({ min: -0.3, max: 0.3, noNaN: true }), (evidence, at) => {
        const learnt = solve(evidence, { held: new Map([['power:gas', at]]) });
        const held = learnt.beliefs.find((b) => b.id === 'power:gas');
        if (held) expect(held).toMatchObject({ mean: at, spread: 0 });
        expect(learnt.free).not.toContain('power:gas');
        // Taken out of the readings beforehand it comes to the same.
        const rest = evidence.map((e) => ({
          ...e,
          residuals: e.residuals.map((r) => ({
            ...r,
            value: r.value - (r.moves.get('power:gas') ?? 0) * at,
            moves: new Map([...r.moves].filter(([id]) => id !== 'power:gas')),
          })),
        }));
        for (const b of solve(rest).beliefs) expect(of(learnt, b.id).mean).toBeCloseTo(b.mean, 9);
      }),
      { numRuns: 60 },
    );
  });

  it('what was seen long ago counts less', () => {
    const [first] = madeIn([['power:gas', Math.log(0.7)]], STRAIGHT, { batches: 1 });
    const YEAR = 365.25 * 24 * 3_600_000;
    const seen = (years: number) =>
      of(solveBeliefs([{ ...first!, atMs: 0 }], { priorOf, nowMs: years * YEAR }), 'power:gas');
    expect(seen(5).spread).toBeGreaterThan(seen(0).spread);
    expect(Math.abs(seen(5).mean)).toBeLessThan(Math.abs(seen(0).mean));
  });

  it('a reading that is far off is let go, and moves what is believed by little', () => {
    const evidence = madeIn([['power:gas', Math.log(0.8)]], STRAIGHT, { batches: 4 });
    const plain = solve(evidence);
    const last = evidence.at(-1)!;
    const misread = last.residuals.map((r) =>
      r.moves.has('power:gas') && r.read.what === 'minutes' && Math.abs(r.moves.get('power:gas')!) > 0.5
        ? { ...r, value: r.value + Math.log(2) }
        : r,
    );
    const wrong = solve([...evidence.slice(0, -1), { ...last, residuals: misread }]);
    expect(Math.abs(of(wrong, 'power:gas').mean - of(plain, 'power:gas').mean)).toBeLessThan(0.02);
  });
});

describe('in hidden kitchens', () => {
  it('what comes next is foretold better than by the book, and as surely as is said', () => {
    const figures = proveLearning(5, 12);
    expect(figures.litres.learnt).toBeLessThan(0.85 * figures.litres.book);
    expect(figures.hours.learnt).toBeLessThan(0.8 * figures.hours.book);
    expect(figures.within.litres).toBeGreaterThan(0.6);
    expect(figures.within.hours).toBeGreaterThan(0.6);
    expect(figures.blunder.litres).toBeGreaterThan(0.8);
  });
});

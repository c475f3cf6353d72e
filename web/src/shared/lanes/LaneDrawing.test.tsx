import { BOOK } from '@big-ladle/core/book';
import { lanesOf, solvePlanDoc } from '@big-ladle/core/plan';
import { simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { KITCHEN, planOf } from '../../testing/kitchen.ts';
import { show } from '../../testing/render.tsx';
import { LaneDrawing } from './LaneDrawing.tsx';

describe('the lanes of a plan', () => {
  const { program } = unwrap(solvePlanDoc(planOf(9), BOOK, KITCHEN, SHIPPED_TABLES));
  const lanes = lanesOf(program, simulateBatch(program, KITCHEN, SHIPPED_TABLES), SHIPPED_TABLES);

  it('are drawn, each vessel by its name', () => {
    show(<LaneDrawing lanes={lanes} program={program} kitchen={KITCHEN} />);
    expect(
      screen.getByRole('group', { name: 'The way of this drink' }).querySelectorAll('path').length,
    ).toBeGreaterThan(lanes.lanes.length);
    expect(screen.getAllByText('Blue pot').length).toBeGreaterThan(0);
  });
  it('are said in words as well: every step, in its order', () => {
    const { container } = show(<LaneDrawing lanes={lanes} program={program} kitchen={KITCHEN} />);
    const sentences = [...container.querySelectorAll('li')].map((li) => li.textContent);
    expect(sentences).toHaveLength(lanes.steps.length);
    expect(sentences.some((s) => /^Strain/.test(s))).toBe(true);
  });
});

import '../../../words/places/batch.ts';
import { bottledMl, bottlesFor, fillMl } from '@big-ladle/core/plan';
import type { ReactNode } from 'react';
import { Panel, Row } from '../../../shared/ui.tsx';
import { num } from '../../../words/numbers.ts';
import { litres, millilitres, volume } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import type { PanelInput } from './input.ts';

/** Bottles that fit what comes out, each lot in its own. */
export function BottlesPanel({ sim, kitchen, children }: PanelInput & { children?: ReactNode }) {
  const mls = bottledMl(sim);
  const { plans, bottles, leftMl } = bottlesFor(mls, kitchen.bottles);
  const total = mls.reduce((sum, ml) => sum + ml, 0);
  return (
    <Panel title={say('batchPage.bottle')} aside={say('panels.toFill', { total: litres(total / 1000, 2) })}>
      {children}
      {kitchen.bottles.map((size) => {
        const count = plans.reduce(
          (sum, plan) => sum + (plan.counts.find((row) => row.sizeId === size.id)?.count ?? 0),
          0,
        );
        return (
          count > 0 && (
            <Row
              key={size.id}
              label={`${size.name}, ${millilitres(size.volumeMl)}`}
              note={say('panels.each2', { fill: millilitres(fillMl(size.volumeMl)) })}
            >
              {num(count)}
            </Row>
          )
        );
      })}
      <Row label={bottles > 0 ? say('panels.leftOverAGlass') : say('panels.noBottlesInYour')}>
        {volume(leftMl / 1000)}
      </Row>
    </Panel>
  );
}

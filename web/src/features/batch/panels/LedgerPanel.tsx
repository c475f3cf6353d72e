import '../../../words/places/batch.ts';
import { ledgerOf } from '@big-ladle/core/program';
import type { ReactNode } from 'react';
import { colours, itemIdOf } from '../../../shared/batch/liquorColour.ts';
import { LedgerDrawing } from '../../../shared/drawings/LedgerDrawing.tsx';
import { Panel } from '../../../shared/ui.tsx';
import { say } from '../../../words/say.ts';
import { entryOf } from './figures.ts';
import type { PanelInput } from './input.ts';

export function LedgerPanel({
  program,
  sim,
  finishedWord,
  likely,
}: PanelInput & { finishedWord?: string; likely?: ReactNode }) {
  return (
    <Panel title={say('panels.whereTheLitresGo')} aside={say('panels.allAtC')}>
      <LedgerDrawing
        ledger={ledgerOf(sim)}
        itemOf={itemIdOf(program)}
        colour={colours(entryOf(sim, 'bottle') ?? entryOf(sim, 'strain', true)).glass}
        {...(finishedWord ? { finishedWord } : {})}
      />
      {likely}
    </Panel>
  );
}

import '../../../../words/places/batch.ts';
import { draws, type Step } from '@big-ladle/core/program';
import {
  mdiAccountGroupOutline,
  mdiStopCircleOutline,
  mdiThermometer,
  mdiTimerOutline,
  mdiVolumeHigh,
} from '@mdi/js';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Icon } from '../../../../shared/Icon.tsx';
import { thumb } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';
import { Measured } from '../forms/Measured.tsx';
import { MeasureForm } from '../forms/MeasureForm.tsx';
import type { Stove, StoveTool } from '../useStove.ts';
import { GuestsAreHere } from './GuestsAreHere.tsx';
import { LotsForm, SPLITTABLE } from './LotsForm.tsx';
import { OwnClock } from './OwnClock.tsx';
import { Retime } from './Retime.tsx';
import { SignalsPanel } from './SignalsPanel.tsx';
import { SomethingElse } from './SomethingElse.tsx';
import { StopBatch } from './StopBatch.tsx';

/** Steps that a batch cannot do without. */
const NOT_SKIPPED: ReadonlySet<Step['kind']> = new Set(['combine', 'strain', 'bottle', 'boil']);

/** What may be done at a step beside the step itself; the rarer tools are behind "More". */
export function ToolTray({ stove, step }: { stove: Stove; step: Step }) {
  const { live, tool, more } = stove;
  const { program } = live;
  const wet = (live.now.moment?.trace.at(-1)?.now.volumeL ?? 0) > 0.05;
  const toolButton = (name: StoveTool, text: string, icon?: string) => (
    <Button
      variant="outlined"
      color="inherit"
      startIcon={icon && <Icon path={icon} />}
      sx={thumb}
      aria-expanded={tool === name}
      onClick={() => stove.toggle(name)}
    >
      {text}
    </Button>
  );
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {step.kind !== 'strain' && wet && toolButton('measure', say('measureForm.measure'), mdiThermometer)}
        {draws(step) &&
          wet &&
          toolButton('guests', say('guestsAreHere.guestsAreHere'), mdiAccountGroupOutline)}
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          aria-expanded={more}
          onClick={() => stove.setMore(!more)}
        >
          {more ? say('stovePage.less') : say('stovePage.more')}
        </Button>
      </Box>
      <Box sx={{ display: more ? 'flex' : 'none', gap: 1, flexWrap: 'wrap' }} data-testid="more-tools">
        {SPLITTABLE.has(step.kind) && wet && toolButton('lots', say('lotsForm.splitItIntoLots'))}
        {toolButton('else', say('somethingElse.somethingElse'))}
        {program.steps.indexOf(step) > 0 && toolButton('retime', say('stovePage.itBeganEarlier'))}
        {toolButton('clock', say('stovePage.anotherClock'), mdiTimerOutline)}
        {toolButton('signals', say('signalsPanel.signals'), mdiVolumeHigh)}
        {toolButton('stop', say('stop.title'), mdiStopCircleOutline)}
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          onClick={() => void live.record([{ kind: 'skipped', body: { stepId: step.id } }])}
          disabled={NOT_SKIPPED.has(step.kind)}
        >
          {say('stovePage.skipThis')}
        </Button>
      </Box>
      {tool === 'measure' && <MeasureForm live={live} onDone={() => stove.close()} />}
      {tool === 'measure' && <Measured live={live} />}
      {tool === 'guests' && <GuestsAreHere live={live} onDone={() => stove.close()} />}
      {tool === 'lots' && <LotsForm live={live} onDone={() => stove.close()} />}
      {tool === 'else' && <SomethingElse live={live} onDone={() => stove.close()} />}
      {tool === 'signals' && <SignalsPanel />}
      {tool === 'stop' && <StopBatch live={live} onDone={() => stove.close()} />}
      {tool === 'retime' && <Retime live={live} onDone={() => stove.close()} />}
      {tool === 'clock' && <OwnClock live={live} onDone={() => stove.close()} />}
    </Box>
  );
}

import '../../../words/places/batch.ts';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { callingNow, useAlarmState } from '../../../shared/alarms.ts';
import { clocksOf, type RunningClock } from '../../../shared/batch/clocks.ts';
import { momentsOf } from '../../../shared/batch/moments.ts';
import { type BatchState, batchTime, useBoard } from '../../../shared/batch/state.ts';
import { placeName, stepName } from '../../../shared/batch/stepNames.ts';
import { useStoveKeys } from '../../../shared/signals.ts';
import { undoOf } from '../../../shared/undo.ts';
import { sayDrink } from '../../../words/names.ts';
import type { LiveBatch } from '../useLiveBatch.ts';
import { useTicks } from './TickList.tsx';

/** Tools of the stove that are opened one at a time. */
export type StoveTool = 'measure' | 'guests' | 'lots' | 'else' | 'retime' | 'clock' | 'signals' | 'stop';

/** The tick that all is ready. */
const READY = 'ready';
/** The clock that one key starts. */
const QUICK_CLOCK_MIN = 10;

/** The clocks in sight at the stove: the large one, and those beside it. */
export interface StoveClocks {
  main: RunningClock | null;
  small: readonly RunningClock[];
}

function clocksAtStove(live: LiveBatch, others: readonly BatchState[]): StoveClocks {
  const { program, kitchen } = live;
  const mine = clocksOf(
    live,
    (s) => `${placeName(program, kitchen, s)}, ${stepName(s, program).toLowerCase()}`,
  );
  const main = mine.find((c) => c.clockId === null) ?? null;
  const theirs = others.flatMap((o) =>
    clocksOf(
      o,
      (s) => `${sayDrink(o.program.recipeId, o.recipe.name)}, ${stepName(s, o.program).toLowerCase()}`,
    ),
  );
  return {
    main,
    small: [...mine.filter((c) => c !== main), ...theirs].sort((a, b) => a.endMs - b.endMs),
  };
}

/** What is being done at one stove: its clocks, the open tool, what is ticked off, and what four keys do. */
export function useStove(live: LiveBatch, next: () => void) {
  const { batch, step, program } = live;
  const [tool, setTool] = useState<StoveTool | null>(null);
  const [more, setMore] = useState(false);
  const ticks = useTicks(`big-ladle-ready-${batch.id}`);
  const { acknowledged, acknowledge } = useAlarmState();
  const board = useBoard();
  // A rehearsal has a time of its own: what is really on does not call in it.
  const others = batch.rehearsal ? [] : board.on.filter((o) => o.batch.id !== batch.id);
  const clocks = clocksAtStove(live, others);
  const moments = [...(clocks.main ? [clocks.main] : []), ...clocks.small].flatMap(momentsOf);
  const back = undoOf(live.events);
  const undo = () => back && void live.record(back.deeds);
  // Before the first step, until the cook says that all stands there: nothing is held up by it.
  const gettingReady =
    step !== null && step === program.steps[0] && !batch.rehearsal && !ticks.ticked.includes(READY);
  useStoveKeys({
    next,
    back: undo,
    start: () =>
      void live.record([
        { kind: 'clockStarted', body: { clockId: uuid(), code: 'clock.quick', minutes: QUICK_CLOCK_MIN } },
      ]),
    quiet: () => {
      const [first] = callingNow(moments, batchTime(batch), acknowledged);
      if (first) acknowledge(first.key);
    },
  });
  return {
    live,
    clocks,
    moments,
    others,
    ticks,
    gettingReady,
    tool,
    toggle: (name: StoveTool) => setTool(tool === name ? null : name),
    close: () => setTool(null),
    more,
    setMore,
    back,
    undo,
    ready: () => ticks.tick(READY, true),
    /** Ends the step that is on. */
    end: () => {
      setTool(null);
      setMore(false);
      if (step) void live.record([{ kind: 'stepEnded', body: { stepId: step.id } }]);
    },
  };
}

export type Stove = ReturnType<typeof useStove>;

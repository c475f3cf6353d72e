import '../../words/places/stove.ts';
import { type Batch, MINUTE_MS, type Pot } from '@big-ladle/core';
import { colours } from '../../shared/batch/liquorColour.ts';
import { clocksOf, type OnBatch, type RunningClock, useOnBatches } from '../../shared/batch/onBatches.ts';
import { stepName } from '../../shared/batch/stepWords.ts';
import { type MessageKey, say } from '../../words/say.ts';

/** Something the cook is needed for. */
export interface NextDeed {
  name: string;
  atMs: number;
  /** How long it may wait, where the stage before it may go on. */
  untilMs: number | null;
}

export interface BoardEntry {
  id: string;
  recipeId: string;
  pot: Pot;
  potName: string;
  stepName: string;
  volumeL: number;
  tempC: number;
  levelCm: number | null;
  colour: string;
  lidOn: boolean;
  hot: boolean;
  abvPct: number;
  clock: { endMs: number; word: string } | null;
  next: NextDeed[];
}

const CLOCK_WORD: Readonly<Record<string, MessageKey>> = {
  heat: 'board.clock.heat',
  boil: 'board.clock.boil',
  steep: 'board.clock.steep',
  soak: 'board.clock.soak',
  cool: 'board.clock.cool',
};

/** What a clock counts to, in words; a clock of the cook's own by its label. */
function clockWord({ stepKind, label, draws }: RunningClock): string {
  const key = stepKind === 'steep' && !draws ? 'board.clock.stands' : CLOCK_WORD[stepKind];
  return key ? say(key) : label;
}

/** How often the physics is looked at again; clocks tick by themselves. */
const LOOK_AGAIN_MS = 15_000;

/** What is on, ordered by what comes next, and every clock that runs. */
export function useOnBoard(nowMs: number): {
  entries: BoardEntry[];
  clocks: RunningClock[];
  on: readonly OnBatch[];
  unreadable: readonly Batch[];
  isPending: boolean;
} {
  const { on, unreadable, isPending } = useOnBatches(Math.floor(nowMs / LOOK_AGAIN_MS) * LOOK_AGAIN_MS);
  const entries = on.flatMap((batch): BoardEntry[] => {
    const { kitchen } = batch.batch.pins!;
    const { program } = batch.now.log;
    const pot = kitchen.pots.find((p) => p.id === program.potId);
    if (!pot) return [];
    const { forecast, log } = batch.now;
    const startedMs = log.startedMs ?? nowMs;
    const here = batch.now.moment?.trace.at(-1);
    const [clock] = clocksOf(batch, (s) => stepName(s, program));
    const at = batch.step ? program.steps.indexOf(batch.step) : -1;
    // What the cook is needed for from now on.
    const next = program.steps
      .slice(Math.max(0, at))
      .filter((s) => s.attention !== 'unattended')
      .slice(0, 3)
      .flatMap((s) => {
        const entry = forecast.trace.find((t) => t.stepId === s.id);
        if (!entry) return [];
        const before = program.steps[program.steps.indexOf(s) - 1];
        const waits = before && before.id === batch.step?.id && before.attention === 'unattended';
        return [
          {
            name: stepName(s, program),
            atMs: startedMs + entry.startMin * MINUTE_MS,
            untilMs: waits ? (batch.now.clock?.maxMs ?? null) : null,
          },
        ];
      });
    return [
      {
        id: batch.batch.id,
        recipeId: program.recipeId,
        pot,
        potName:
          here?.vesselId === 'pot' ? pot.name : here?.vesselId === 'tub' ? say('board.strained') : pot.name,
        stepName: batch.step ? stepName(batch.step, program) : say('stage.state.done'),
        volumeL: here?.now.volumeL ?? 0,
        tempC: here?.now.tempC ?? kitchen.roomC,
        levelCm: here?.now.levelCm ?? null,
        colour: colours(here).glass,
        lidOn: pot.lid && (batch.step?.kind === 'steep' || batch.step?.kind === 'heat'),
        hot: (here?.now.tempC ?? 0) > 70 && (here?.now.volumeL ?? 0) > 0.05,
        abvPct: here?.now.abvPct ?? 0,
        clock: clock ? { endMs: clock.endMs, word: clockWord(clock) } : null,
        next,
      },
    ];
  });
  const clocks = on.flatMap((batch) => {
    const { kitchen } = batch.batch.pins!;
    const { program } = batch.now.log;
    const potName = kitchen.pots.find((p) => p.id === program.potId)?.name ?? '';
    return clocksOf(
      batch,
      (s) => `${potName}, ${stepName(s, program).toLowerCase()}`,
      (label) => `${potName}, ${label.toLowerCase()}`,
    );
  });
  return {
    entries: entries.sort((a, b) => (a.clock?.endMs ?? 0) - (b.clock?.endMs ?? 0)),
    clocks: clocks.sort((a, b) => a.endMs - b.endMs),
    on,
    unreadable,
    isPending,
  };
}

import '../../words/places/stove.ts';
import type { Pot } from '@big-ladle/core/documents';
import { TUB } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import { clocksOf, type RunningClock } from '../../shared/batch/clocks.ts';
import { colours } from '../../shared/batch/liquorColour.ts';
import type { BatchState } from '../../shared/batch/state.ts';
import { stepName } from '../../shared/batch/stepNames.ts';
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

/** What the cook is needed for from now on at one pot. */
function nextDeeds({ now, step, nowMs }: BatchState): NextDeed[] {
  const { forecast, log } = now;
  const { program } = log;
  const startedMs = log.startedMs ?? nowMs;
  const at = step ? program.steps.indexOf(step) : -1;
  return program.steps
    .slice(Math.max(0, at))
    .filter((s) => s.attention !== 'unattended')
    .slice(0, NEXT_DEEDS)
    .flatMap((s) => {
      const entry = forecast.trace.find((t) => t.stepId === s.id);
      if (!entry) return [];
      const before = program.steps[program.steps.indexOf(s) - 1];
      const waits = before && before.id === step?.id && before.attention === 'unattended';
      return [
        {
          name: stepName(s, program),
          atMs: startedMs + entry.startMin * MINUTE_MS,
          untilMs: waits ? (now.clock?.maxMs ?? null) : null,
        },
      ];
    });
}

/** Of each pot so many deeds are told. */
const NEXT_DEEDS = 3;
const HOT_C = 70;
/** Less than this is what sticks to the walls, L. */
const SOMETHING_L = 0.05;

/** A pot that is on, as the board shows it. */
export function boardEntry(state: BatchState): BoardEntry {
  const { batch, program, step, pot, kitchen, now } = state;
  const here = now.moment?.trace.at(-1);
  const [clock] = clocksOf(state, (s) => stepName(s, program));
  const volumeL = here?.now.volumeL ?? 0;
  const tempC = here?.now.tempC ?? kitchen.roomC;
  return {
    id: batch.id,
    recipeId: program.recipeId,
    pot,
    potName: here?.vesselId === TUB ? say('board.strained') : pot.name,
    stepName: step ? stepName(step, program) : say('stage.state.done'),
    volumeL,
    tempC,
    levelCm: here?.now.levelCm ?? null,
    colour: colours(here).glass,
    lidOn: pot.lid && (step?.kind === 'steep' || step?.kind === 'heat'),
    hot: tempC > HOT_C && volumeL > SOMETHING_L,
    abvPct: here?.now.abvPct ?? 0,
    clock: clock ? { endMs: clock.endMs, word: clockWord(clock) } : null,
    next: nextDeeds(state),
  };
}

/** What is on, the next clock to end first. */
export const boardEntries = (on: readonly BatchState[]): BoardEntry[] =>
  on.map(boardEntry).sort((a, b) => (a.clock?.endMs ?? 0) - (b.clock?.endMs ?? 0));

/** Every clock that runs, each named after its pot and deed, the next to end first. */
export const boardClocks = (on: readonly BatchState[]): RunningClock[] =>
  on
    .flatMap((state) =>
      clocksOf(
        state,
        (s) => `${state.pot.name}, ${stepName(s, state.program).toLowerCase()}`,
        (label) => `${state.pot.name}, ${label.toLowerCase()}`,
      ),
    )
    .sort((a, b) => a.endMs - b.endMs);

import '../../../../words/places/batch.ts';
import type { ReadKind } from '@big-ladle/core/learn';
import { vesselNowId } from '../../../../shared/batch/vesselNow.ts';
import type { MessageKey } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

export type Kind = 'jug' | 'level' | 'mass' | 'temperature' | 'brix' | 'pH';

/** What is measured, as what the model foretells of it. */
export const READ_AS = { jug: 'volume', level: 'level', mass: 'mass' } as const satisfies Partial<
  Record<Kind, ReadKind>
>;

export const WORDS: Record<Kind, MessageKey> = {
  jug: 'measureForm.byJug',
  level: 'measureForm.byLevel',
  mass: 'measureForm.byMass',
  temperature: 'measureForm.byTemperature',
  brix: 'measureForm.byBrix',
  pH: 'measureForm.byPH',
};

/** The steps of a figure that is dialled, and where it begins: what the model has there now. Jugs are counted. */
export function dialOf(kind: Kind, live: LiveBatch, withVessel: boolean) {
  const now = live.now.moment?.trace.at(-1)?.now;
  if (!now) return null;
  switch (kind) {
    case 'jug':
      return null;
    case 'level':
      return now.levelCm === null
        ? null
        : { start: now.levelCm, small: 0.5, large: 2, min: 0.5, max: live.pot.heightCm, decimals: 1 };
    case 'mass': {
      const vessel = live.program.vessels.find((v) => v.id === vesselNowId(live));
      const vesselKg = withVessel ? (vessel?.massG ?? 0) / 1000 : 0;
      return { start: now.massG / 1000 + vesselKg, small: 0.1, large: 1, min: 0.1, max: 200, decimals: 1 };
    }
    case 'temperature':
      return { start: now.tempC, small: 1, large: 5, min: -5, max: 105, decimals: 0 };
    case 'brix':
      return { start: now.brix, small: 0.2, large: 1, min: 0, max: 85, decimals: 1 };
    case 'pH':
      return {
        start: now.ph.kind === 'estimate' ? now.ph.pH : 3.5,
        small: 0.1,
        large: 0.5,
        min: 0.5,
        max: 13,
        decimals: 1,
      };
  }
}

/** From here up what is counted in jugs is taken to be hot until the cook says otherwise, °C. */
export const HOT_C = 45;

/** What the straining should give: its own entry in the forecast. */
export const expectedL = (live: LiveBatch): number =>
  live.now.forecast.trace.find((t) => t.stepId === live.step?.id)?.now.volumeL ?? 0;

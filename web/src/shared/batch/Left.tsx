import type { Batch } from '@big-ladle/core/contract';
import { clockFace, say } from '../../words/say.ts';
import { Figure } from '../ui.tsx';
import { useBatchTick } from './state.ts';

/** What a clock has left, ticking; @param batch whose clock it goes by, where that may be another than the wall's. */
export function Left({ endMs, batch }: { endMs: number; batch?: Pick<Batch, 'rehearsal'> }) {
  const nowMs = useBatchTick(batch);
  if (endMs <= nowMs) return <>{say('common.now')}</>;
  const { face, unit } = clockFace(endMs - nowMs);
  return <Figure value={face} unit={unit} size="inherit" />;
}

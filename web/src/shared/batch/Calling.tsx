import type { Batch } from '@big-ladle/core/contract';
import { AlarmQueue } from '../AlarmQueue.tsx';
import { type AlarmMoment, announcement, useAlarms } from '../alarms.ts';
import { useCalls } from '../signals.ts';
import { VisuallyHidden } from '../ui.tsx';
import { useBatchTick } from './state.ts';

interface CallingProps {
  moments: readonly AlarmMoment[];
  /** What the tab is called while nothing calls. */
  title: (nowMs: number) => string;
  /** Whose clock it goes by, where that may be another than the wall's. */
  batch?: Batch;
}

/** What calls now, in the page and in the tab: it looks at the clock each second, so that what stands around it need not. */
export function Calling({ moments, title, batch }: CallingProps) {
  const nowMs = useBatchTick(batch);
  return <AlarmQueue due={useAlarms(moments, nowMs, title(nowMs))} />;
}

/** The same at the stove, where it is also said, shaken and notified. @param stepText what is said when a step comes. */
export function CallingAloud({ stepText, moments, title, batch }: CallingProps & { stepText: string }) {
  const nowMs = useBatchTick(batch);
  const due = useAlarms(moments, nowMs, title(nowMs));
  useCalls(due, stepText);
  return <AlarmQueue due={due} />;
}

/** What a screen reader hears of a clock. */
export function Announced({ label, endMs, batch }: { label: string; endMs: number; batch?: Batch }) {
  const nowMs = useBatchTick(batch);
  return (
    <VisuallyHidden>
      <span aria-live="polite">{announcement(label, endMs, nowMs)}</span>
    </VisuallyHidden>
  );
}

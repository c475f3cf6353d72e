import type { ClockSubject } from '@big-ladle/core/log';
import { sayItem } from './names.ts';
import { sayCode } from './say.ts';

/** What a clock is for: the cook's own words, or ours for what she tapped. */
export const sayClock = ({ label, code, itemIds }: ClockSubject): string =>
  code === null
    ? (label ?? '')
    : sayCode(code, { list: itemIds.map((id) => sayItem(id).toLowerCase()).join(', ') });

/** A note, in the cook's words or ours. */
export const sayNoted = ({ text, code }: { text?: string; code?: string }): string =>
  code === undefined ? (text ?? '') : sayCode(code);

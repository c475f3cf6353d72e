import {
  type BeliefWithCourse,
  isOfModel,
  type LearntId,
  readFactorId,
  readPurchaseId,
} from '@big-ladle/core/learn';
import '../../../words/places/logbook.ts';
import '../../../words/places/items.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { sayItem } from '../../../words/names.ts';
import { percent, say, sayCode } from '../../../words/say.ts';

/** Nearer to the book than this it is as in the book. */
const AS_BOOK = 0.015;
/** Of what was open before, less than this share still is: sure; less than that: fairly sure. */
const SURE = 0.4;
const FAIRLY = 0.75;

type Told = Pick<BeliefWithCourse, 'id' | 'mean'>;

/** What of the kitchen it is of, by its name. */
function named(id: LearntId, kitchen: Kitchen): { kind: string; of: string; purchase?: string } {
  const one = readPurchaseId(id);
  if (one) return { kind: 'purchase', of: sayItem(one.itemId), purchase: one.purchase };
  if (!isOfModel(id)) return { kind: id, of: '' };
  const { kind, of } = readFactorId(id);
  switch (kind) {
    case 'boilOff':
      return { kind, of: kitchen.pots.find((p) => p.id === of)?.name ?? of ?? '' };
    case 'boilRing':
    case 'power':
      return { kind, of: kitchen.burners.find((b) => b.id === of)?.name ?? of ?? '' };
    case 'boilLevel':
    case 'heatLoss':
    case 'press':
    case 'juiceBy':
      return { kind, of: of === null ? '' : sayCode(`learn.${kind}.${of}`) };
    case 'minutes':
      return { kind, of: of === null ? '' : sayCode(`step.${of}`) };
    default:
      return { kind, of: of === null ? '' : sayItem(of).toLowerCase() };
  }
}

/** What it is about, in a few words. */
export function sayWhat(id: LearntId, kitchen: Kitchen): string {
  const { kind, ...of } = named(id, kitchen);
  return sayCode(`learn.${kind}`, of);
}

/** A multiplier as a share more or less. */
const shareOf = (mean: number): number => Math.exp(mean) - 1;
export const isAsBook = ({ mean }: Pick<Told, 'mean'>): boolean => Math.abs(shareOf(mean)) < AS_BOOK;

/** In a sentence, how this kitchen is otherwise than the book has it. */
export function sayBelief({ id, mean }: Told, kitchen: Kitchen): string {
  if (isAsBook({ mean })) return say('learn.asBook', { what: sayWhat(id, kitchen) });
  const { kind, ...of } = named(id, kitchen);
  const share = shareOf(mean);
  return sayCode(`learn.${kind}.${share > 0 ? 'over' : 'under'}`, {
    ...of,
    figure: percent(Math.abs(share)),
  });
}

/** A share more or less, with its sign. */
export const saySigned = (mean: number): string => {
  const share = shareOf(mean);
  return `${share < 0 ? '−' : '+'}${percent(Math.abs(share))}`;
};

export type Sureness = 'sureNow' | 'fairly' | 'hunch';
export const surenessOf = ({ spread, prior }: Pick<BeliefWithCourse, 'spread' | 'prior'>): Sureness =>
  spread <= SURE * prior ? 'sureNow' : spread <= FAIRLY * prior ? 'fairly' : 'hunch';

/** How surely it is known, and from how much. */
export function saySure({ spread, prior, batchIds, held }: BeliefWithCourse): string {
  if (held) return say('learn.heldFixed');
  return say('learn.sure', {
    sure: sayCode(`learn.${surenessOf({ spread, prior })}`),
    spread: percent(spread),
    count: batchIds.length,
  });
}

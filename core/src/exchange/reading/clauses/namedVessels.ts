import { VESSEL_WORDS } from '../../../tables/reading/deedWords.ts';
import type { Token } from '../tokens.ts';
import { CUTS } from './hits.ts';
import { kitchenVerb } from './verbs.ts';

/** A vessel that a clause names. */
interface NamedVessel {
  vessel: string;
  at: number;
  /** Something goes into it, or happens in it. */
  into: boolean;
  /** Something comes out of it: "what is in the jug", "from the kettle". */
  source: boolean;
}

const SMALLER = new Set(['small', 'little', 'second', 'separate', 'another', 'other']);

/** The vessels a clause names, in their order; a second pot beside the first is "smallPot". */
export function vesselsIn(tokens: readonly Token[], from: number, to: number): NamedVessel[] {
  const out: NamedVessel[] = [];
  for (let i = from; i < to; i++) {
    let vessel = VESSEL_WORDS[tokens[i]!.t];
    if (!vessel) continue;
    if (vessel === 'pot' && (SMALLER.has(tokens[i - 1]?.t ?? '') || SMALLER.has(tokens[i - 2]?.t ?? '')))
      vessel = 'smallPot';
    let into = false;
    let source = false;
    for (let k = i - 1; k >= from && k > i - 5; k--) {
      const t = tokens[k]!.t;
      const what = tokens[k - 1]?.t ?? '';
      if (
        t === 'from' ||
        (t === 'of' && (what === 'out' || what === 'contents')) ||
        (t === 'in' && (what === "what's" || (what === 'is' && tokens[k - 2]?.t === 'what')))
      ) {
        source = true;
        break;
      }
      if (t === 'into' || t === 'in' || (t === 'to' && !kitchenVerb(tokens[k + 1]!.t))) into = true;
      if (CUTS.has(t)) break;
    }
    out.push({ vessel, at: i, into: into && !source, source });
  }
  return out;
}

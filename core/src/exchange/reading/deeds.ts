import type { Deed } from '../../tables/reading/deedWords.ts';
import type { Clause } from './clauses/clauses.ts';
import type { Hit } from './clauses/hits.ts';

/** What a clause does, once the words around its verbs are taken into account. */
export type Done =
  | { deed: Exclude<Deed, 'aux' | 'go' | 'stir' | 'lower' | 'press'>; verb: string }
  | { deed: 'lower' | 'press' | 'ice' | 'nothing' | 'toBoil' | 'hold'; verb: string };

const has = (words: string, pattern: RegExp): boolean => pattern.test(words);

/**
 * What a clause does. Verbs say less than the words around them: "bring" heats, "take" puts in or takes off the fire,
 * "put through a sieve" strains.
 * @param words the words of the clause, with a space on either side of each.
 * @param strained it has been strained before.
 */
export function doneIn(clause: Clause, words: string, strained: boolean): Done | null {
  const hits = clause.hits.filter((h) => !h.negated);
  const verbs = hits.map((h) => h.verb);
  const any = (...names: string[]) => names.some((n) => verbs.includes(n));
  const hitOf = (deed: Deed): Hit | undefined => hits.find((h) => h.deeds.includes(deed));
  const done = (deed: Done['deed'], verb = verbs[0] ?? ''): Done => ({ deed, verb }) as Done;
  if (!hits.length) return withoutVerb(clause, words, strained);

  // The fire.
  if (
    (any('turn', 'switch', 'close', 'kill') &&
      has(words, / (?:off|the fire|the flame|kills? the heat|cut the heat) /) &&
      !has(words, / close .*lid/)) ||
    (any('take', 'remove', 'pull', 'lift', 'put') &&
      has(words, / (?:off|from) (?:the )?(?:heat|fire|stove|flame|boil|hob) /)) ||
    (any('take', 'switch') && has(words, / (?:take|takes|switch) (?:it |the pot |that )?off /))
  ) {
    const steeps = hits.find((h) => h.deeds[0] === 'steep');
    if (!steeps) return done('off');
  }
  const boils = hitOf('boil');
  if (
    any('bring', 'come', 'reach') &&
    !clause.temps.length &&
    has(words, / (?:boil|boiling|simmer|bubble|bubbles) /)
  )
    return done('toBoil');
  if (any('put') && has(words, / to boil /)) return done('toBoil');
  if (boils) {
    const cools = hits.find((h) => h.deeds[0] === 'cool');
    if (cools && cools.at > boils.at) return done('cool', cools.verb);
    return done('boil', boils.verb);
  }
  if (
    any('lower', 'reduce', 'turn') &&
    has(words, / (?:down|heat|fire|flame|low|stove) /) &&
    !has(words, / turn .*(?:jar|over) /)
  )
    return any('reduce') && has(words, / (?:by half|to half|until|to a third) /)
      ? done('reduce')
      : done('lower');

  // Through a sieve, whatever the verb.
  const through = has(
    words,
    / (?:through|thru|by) (?:a |an |the |my |your |that |clean |fine |double |old |piece of |layer of |some )*(?:mesh |fine |nut milk |cotton |metal |coarse )*(?:sieve|cloth|strainer|muslin|cheesecloth|gauze|colander|mesh|curtain|napkin|bag|towel) /,
  );
  const strains = hitOf('strain') ?? (any('draw') && / off /.test(words) ? hitOf('steep') : undefined);
  const squeezes = any('squeeze', 'press', 'wring');
  const fruit = clause.things.some((t) => t.entry.kind === 'family' && t.entry.family.juice !== undefined);
  if (strains && !(any('pass') && !through)) return done('strain', strains.verb);
  if (has(words, / (?:blender|liquidiser) /) && any('go', 'put', 'pour', 'add', 'throw', 'tip', 'blend'))
    return done('blend');
  if (through && any('rub', 'mash', 'knead')) return done('strain');
  if (through && !hitOf('prep') && !hitOf('wash') && !hitOf('juice')) return done('strain');
  if (has(words, / through (?:[a-z]+ ){0,3}juicer /)) return done('juice');
  if (squeezes && !(fruit && !through)) return done('press', 'squeeze');
  if (any('squeeze', 'juice') || (squeezes && fruit)) return done('juice');

  if (any('push', 'press') && has(words, / (?:down|out) /)) return done('press');
  if (any('give') && has(words, / (?:scrub|rinse|wash) /)) return done('wash');
  if (
    any('leave') &&
    !clause.times.length &&
    has(words, / (?:the|its) (?:skin|skins|white|pith|starch|sediment) /)
  )
    return done('nothing');
  if (hitOf('blend')) return done('blend');
  if (has(words, / (?:blender|liquidiser) /) && any('go', 'put', 'pour', 'add', 'throw', 'tip'))
    return done('blend');
  if (any('wait') && clause.times.every((t) => (t.max ?? t.value) <= 5) && clause.times.length)
    return done('nothing');
  if (has(words, / freezer /) && !any('fill', 'bottle')) return done('freeze');
  const steeps = hitOf('steep');
  const cools = hitOf('cool');
  if (
    has(words, / (?:ice|ice bath|iced water) /) &&
    any('stand', 'put', 'set', 'cool', 'place', 'sit', 'plunge', 'chill')
  )
    return done('ice');
  if (cools && (!steeps || cools.at > steeps.at || has(words, / to cool /))) return done('cool', cools.verb);
  if (
    any('let', 'leave', 'wait') &&
    has(
      words,
      / (?:become|get|go|goes|be|till|until|til) (?:it (?:is |gets )?)?(?:completely |quite |really |totally )?(?:cold|cool|lukewarm|tepid) /,
    ) &&
    !clause.times.length
  )
    return done('cool', 'cool');
  const heats = hitOf('heat');
  if (heats && !any('bring')) return done('heat', heats.verb);
  if (any('bring')) return clause.temps.length ? done('heat', 'heat') : done('toBoil');
  if (hitOf('soak')) return done('soak');
  if (steeps && steeps.verb !== 'leave') return done('steep', steeps.verb);
  if (hitOf('wash')) return done('wash', hitOf('wash')!.verb);
  if (hitOf('skim')) return done('skim');
  if (hitOf('settle')) return done('settle');
  if (hitOf('freeze') || (any('put', 'go') && has(words, / freezer /))) return done('freeze');
  if (hitOf('mill')) return done('mill');
  if (any('pick', 'sort')) return done('pick');
  if (
    any('pour', 'put', 'fill', 'decant') &&
    has(
      words,
      / into (?:the |your |clean |small |little |warm |warmed |sterilised |sterilized |big |my )*(?:bottles|jars) /,
    ) &&
    !clause.things.some((t) => t.quantity)
  )
    return done('bottle');
  if (has(words, / out with (?:it|them) /)) return done('nothing');
  if (
    any('throw', 'toss', 'pour', 'discard', 'compost', 'dump') &&
    (has(words, / (?:away|out|off) /) || any('discard', 'compost'))
  )
    return done('discard');
  if (any('remove', 'fish', 'scoop', 'lift', 'pull') || (any('take', 'come') && has(words, / out /)))
    return done('lift');
  if (any('make') && / up to /.test(words) && clause.things.length) return done('put', 'fill');
  const yields = hitOf('yield');
  if (yields && !any('fill', 'give', 'serve') && clause.hits.length === 1) return done('yield');
  if (any('serve', 'drink', 'enjoy'))
    return any('serve') && has(words, /^ (?:serves|it serves) /) ? done('yield') : done('serve');
  if (any('keep', 'store', 'last', 'live')) return done('keep');
  if (any('bottle', 'funnel')) return done('bottle');
  if (any('fill')) {
    const tells = hits.some(
      (h) =>
        h.verb === 'fill' && (h.form === 's' || / (?:it|this|that|they|should|will) fills? /.test(words)),
    );
    const bottles = strained || has(words, / (?:bottles?|jars?|flasks?) /);
    return tells ? done('yield') : bottles ? done('bottle') : done('nothing');
  }
  if (any('give') && has(words, / (?:gives|gave) /)) return done('yield');
  if (
    any('put', 'pour', 'transfer', 'decant', 'divide') &&
    has(words, / (?:bottles|jars) /) &&
    !clause.things.some((t) => t.quantity)
  )
    return done('bottle');
  if (any('shake')) return done('shake');
  if (any('turn') && has(words, / (?:jar|over|bottle) /)) return done('shake');
  if (any('cover', 'seal', 'close') && !(any('cover') && clause.things.length)) return done('cover');
  if (hitOf('sweeten')) return done('sweeten');
  if (hitOf('sour')) return done('sour');
  // "Grate in the nutmeg", "rub it with the sugar".
  const prep = hitOf('prep');
  if (
    prep &&
    / (?:grate|slice|crush|crumble|break|mix|zest)s? in(?:to)? (?!cubes|pieces|slices|chunks|strips|half)/.test(
      words,
    )
  )
    return done('put', prep.verb);
  if (
    prep &&
    clause.things.some(
      (t) => t.entry.kind === 'family' && (t.entry.family.sweetens || t.entry.family.plainWater),
    ) &&
    / (?:with|in) /.test(words)
  )
    return done('put', prep.verb);
  if (prep && !hitOf('put') && !hitOf('stir')) return done('prep', prep.verb);
  if (steeps) return done('steep', 'leave');
  if (
    any('put', 'go', 'place', 'transfer', 'stand', 'set') &&
    has(words, / (?:fridge|refrigerator|icebox) /) &&
    !clause.things.length
  )
    return done('hold', 'fridge');
  if (hitOf('divide')) return done('divide');
  if (any('make', 'top', 'fill') && / up (?:to|with) /.test(words)) return done('put', 'fill');
  if (hitOf('stir') || hitOf('put')) return done('put', hitOf('put')?.verb ?? 'stir');
  if (any('go', 'come') && has(words, / in(?:to)? /) && !clause.times.length) return done('put', 'go');
  if (any('taste', 'check', 'try')) return done('taste');
  if (any('reduce')) return done('reduce');
  if (hitOf('introduce')) return done('introduce');
  if (any('give')) return done('yield');
  if (any('cover')) return done('put', 'cover');
  // Helpers alone: what they have beside them decides.
  return withoutVerb(clause, words, strained);
}

/** No verb: "Lid on, 20 min.", "Through the sieve again.", "fridge, 12 h", "12 bottles." */
function withoutVerb(clause: Clause, words: string, strained: boolean): Done | null {
  const done = (deed: Done['deed'], verb = ''): Done => ({ deed, verb }) as Done;
  if (clause.hits.some((h) => h.negated)) return null;
  if (has(words, / out with (?:it|them) /)) return done('nothing');
  if (has(words, / on (?:the )?(?:fire|stove|flame) /) && clause.things.length) return done('toBoil', 'boil');
  if (
    has(words, /^ (?:fire |flame |heat |turn |and )*off [^a-z]*$|^ off /) ||
    has(words, / (?:fire|flame|heat) off /)
  )
    return done('off');
  if (
    has(words, / (?:sieve|strainer|muslin|cheesecloth|gauze|colander|nut milk bag|milk bag) /) ||
    has(words, /^ (?:a |the )?cloth /)
  )
    return done('strain');
  if (has(words, / (?:blender) /)) return done('blend');
  if (has(words, / in(?:side)? $| in (?:at|too|as|with) | out(?: again| by.*)? $/) && clause.things.length)
    return / out(?: again| by.*)? $/.test(words) ? done('lift') : done('put', 'in');
  if (has(words, / freezer /)) return done('freeze');
  if (has(words, / (?:little|small|clean|sterilised|sterilized|big) bottles /) && strained)
    return done('bottle');
  if (has(words, / (?:low|small|gentle|medium|slow) (?:heat|fire|flame) /)) return done('heat', 'warm');
  if (has(words, / (?:fridge|refrigerator) /) && !clause.things.length) return done('hold', 'fridge');
  if (has(words, / (?:minutes|min|mins) (?:of )?(?:gentle|rolling|simmer) | simmer /))
    return done('boil', 'simmer');
  return null;
}

import { ASKED_TRAITS, type Trait, type TraitAnswers } from './traits.ts';
import type { IngredientRow } from './types.ts';

type Role = IngredientRow['role'];

/** What an ingredient of the cook's own is by what she said it is; the rest is asked. */
const BY_ROLE: Readonly<Record<Role, readonly Trait[]>> = {
  botanical: ['leaf'],
  herb: ['leaf', 'tenderHerb', 'skinLeaf'],
  spice: ['spice', 'strongSpice', 'hardSpice'],
  aromatic: ['root', 'tough', 'skinRoot'],
  peel: ['peel', 'tough', 'skinRough'],
  fruit: ['fruit', 'soft', 'skinSoft'],
  citrus: ['citrus', 'sour', 'soft', 'bitterPips', 'pith', 'skinWaxed', 'stomach'],
  souring: ['sour', 'stomach'],
  sweetener: [],
  other: [],
};
/** Fresh things have skins and go soft; dried ones carry dust. */
const FRESH_ONLY: ReadonlySet<Trait> = new Set<Trait>([
  'skinLeaf',
  'skinRoot',
  'skinRough',
  'skinSoft',
  'skinWaxed',
  'soft',
  'tenderHerb',
  'tough',
]);

/**
 * The traits of an ingredient of the cook's own.
 * @param answers what she was asked; what she does not know counts as yes.
 */
export function traitsOfOwn(role: Role, dried: boolean, answers: TraitAnswers = {}): Trait[] {
  return [
    ...BY_ROLE[role].filter((trait) => !dried || !FRESH_ONLY.has(trait)),
    ...(dried && role === 'botanical' ? (['dusty'] as const) : []),
    'asFood',
    'labelled',
    ...ASKED_TRAITS.filter((trait) => answers[trait] ?? true),
  ];
}

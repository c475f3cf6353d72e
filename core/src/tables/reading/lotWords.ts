/** Words for a part of a batch that ends in its own way, by its kind; a number may follow. */
export const LOT_WORDS = [
  {
    kind: 'children',
    words: ['for children', 'for the children', 'for kids', 'for the kids', 'for the little ones'],
  },
  { kind: 'spirits', words: ['with spirits', 'with alcohol', 'for the grown-ups', 'for the adults'] },
  {
    kind: 'noAddedSugar',
    words: ['no sugar added', 'no added sugar', 'without sugar', 'without added sugar'],
  },
  { kind: 'plain', words: ['left plain', 'kept plain', 'plain', 'unsweetened'] },
  { kind: 'sweet', words: ['sweetened', 'sweet'] },
  { kind: 'trial', words: ['a trial', 'trial', 'to try'] },
] as const;

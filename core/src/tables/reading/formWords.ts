/** Words for a part of a plant, by the part. */
export const PART_WORDS: Readonly<Record<string, string>> = {
  peel: 'peel',
  peels: 'peel',
  peelings: 'peel',
  skin: 'peel',
  skins: 'peel',
  rind: 'peel',
  rinds: 'peel',
  zest: 'peel',
  core: 'core',
  cores: 'core',
  heart: 'core',
  hearts: 'core',
  juice: 'juice',
  juices: 'juice',
  flesh: 'flesh',
  inside: 'flesh',
  insides: 'flesh',
  leaf: 'leaf',
  leaves: 'leaf',
  milk: 'milk',
};

/** Words that say how a thing is, in which form, how it is cut: they stand before its name or after it. */
export const FORM_WORDS: ReadonlySet<string> = new Set(
  `dried dry fresh frozen whole ground powder powdered grated shredded minced sliced slices thin thinly fine finely
coarse coarsely roughly chopped crushed cracked bruised smashed bashed pounded mashed peeled unpeeled cubed cubes diced
chunks quartered halved juiced squeezed blended puree pureed packed ripe raw cold hot warm boiling lukewarm tepid iced
white brown dark light granulated caster castor demerara turbinado cane pitted stoned medjool soft runny clear strips
broken crumbled siftings dust loose unwaxed organic green red black yellow pink seedless clean filtered tap drinking
bottled freshly young old tender tough washed rinsed scrubbed trimmed pulp paste block syrup extract bark sea flesh cooked
melted dissolved strained toasted roasted deseeded seeded shelled torn picked pods berries berry seeds seed corns
petals flowers flower calyx calyces stick sticks root roots stalk stalks sprig sprigs stem stems powdery overproof plain
natural pure sweet sour large small medium big little good nice fat long thick tiny rounds pieces bits wedges cut broken
separately lightly well only cider live still unsweetened divided sparkling icy`
    .split(/\s+/)
    .filter(Boolean),
);

export const DETERMINERS: ReadonlySet<string> = new Set([
  'the',
  'this',
  'that',
  'these',
  'those',
  'your',
  'my',
  'our',
  'her',
  'his',
  'their',
  'its',
  'all',
  'both',
  'same',
]);

/** What is blended, grated and so on: the verb of the kitchen, and the word for the form it gives. */
export const FORM_OF_DEED: Readonly<Record<string, string>> = {
  blend: 'blended',
  grate: 'grated',
  shred: 'grated',
  mince: 'grated',
  slice: 'sliced',
  cut: 'sliced',
  chop: 'sliced',
  quarter: 'quartered',
  halve: 'halved',
  bruise: 'bruised',
  smash: 'smashed',
  bash: 'bruised',
  crush: 'crushed',
  pound: 'pounded',
  crack: 'cracked',
  grind: 'ground',
  juice: 'juice',
  squeeze: 'juice',
  zest: 'zest',
  knock: 'bruised',
};

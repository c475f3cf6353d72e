/** What a verb of the kitchen does. */
export type Deed =
  | 'wash'
  | 'soak'
  | 'prep'
  | 'put'
  | 'heat'
  | 'boil'
  | 'steep'
  | 'strain'
  | 'press'
  | 'blend'
  | 'mill'
  | 'juice'
  | 'cool'
  | 'sweeten'
  | 'sour'
  | 'skim'
  | 'settle'
  | 'divide'
  | 'shake'
  | 'bottle'
  | 'freeze'
  | 'lift'
  | 'off'
  | 'cover'
  | 'lower'
  | 'pick'
  | 'stir'
  | 'introduce'
  | 'reduce'
  | 'discard'
  | 'yield'
  | 'keep'
  | 'serve'
  | 'taste'
  | 'go'
  | 'aux';

interface DeedWord {
  deed: Deed;
  /** The plain form; the others are made from it. */
  verbs: readonly string[];
  /** Forms that do not follow the rule, as "plain past participle". */
  odd?: Readonly<Record<string, readonly string[]>>;
}

const words = (text: string): string[] => text.split(/\s+/);

// biome-ignore format: a table reads by rows
export const DEED_WORDS: readonly DeedWord[] = [
  { deed: 'wash', verbs: words('wash rinse scrub brush clean swirl') },
  { deed: 'soak', verbs: words('soak macerate hydrate') },
  {
    deed: 'prep',
    verbs: words('cut chop slice grate shred peel bruise smash bash crush pound mince dice quarter halve crack cube zest mash knead trim core deseed tear break knock pit stone rub toast prepare open scrape'),
    odd: { cut: ['cut', 'cuts', 'cutting'], tear: ['tore', 'torn'], break: ['broke', 'broken'], chop: ['chopped', 'chopping'] },
  },
  {
    deed: 'put',
    verbs: words('add put throw toss pour tip combine place mix drop join dissolve layer return transfer dump sprinkle squirt float top splash unite whisk include give submerge dilute push load tie fortify'),
    odd: { put: ['put', 'puts', 'putting'], throw: ['threw', 'thrown'], give: ['gave', 'given'] },
  },
  { deed: 'stir', verbs: words('stir melt') },
  { deed: 'introduce', verbs: words('take use need want buy have count'), odd: { take: ['took', 'taken'], have: ['has', 'had'], buy: ['bought'] } },
  { deed: 'heat', verbs: words('heat warm bring reheat scald'), odd: { bring: ['brought'] } },
  { deed: 'boil', verbs: words('boil simmer cook bubble decoct stew') },
  {
    deed: 'steep',
    verbs: words('steep infuse lie hold set stand sit rest leave marinate draw brew wait forget mature ripen age'),
    odd: { lie: ['lay', 'lain', 'lying'], set: ['set', 'sets', 'setting'], hold: ['held'], stand: ['stood'], sit: ['sat', 'sitting'], leave: ['left'], draw: ['drew', 'drawn'], forget: ['forgot'] },
  },
  { deed: 'strain', verbs: words('strain sieve filter drain pass sift decant') },
  { deed: 'press', verbs: words('press wring'), odd: { wring: ['wrung', 'wrings'] } },
  { deed: 'blend', verbs: words('blend blitz whizz liquidise liquidize puree process pulse whiz') },
  { deed: 'mill', verbs: words('grind mill'), odd: { grind: [] } },
  { deed: 'juice', verbs: words('juice squeeze') },
  { deed: 'cool', verbs: words('cool chill refrigerate') },
  { deed: 'sweeten', verbs: ['sweeten'] },
  { deed: 'sour', verbs: ['sour'] },
  { deed: 'skim', verbs: ['skim'] },
  { deed: 'settle', verbs: ['settle'] },
  { deed: 'divide', verbs: words('divide split halve') },
  { deed: 'shake', verbs: words('shake turn'), odd: { shake: ['shook', 'shaken'] } },
  { deed: 'bottle', verbs: words('bottle fill can funnel') },
  { deed: 'freeze', verbs: ['freeze'], odd: { freeze: ['froze'] } },
  { deed: 'lift', verbs: words('remove lift fish scoop pull') },
  { deed: 'off', verbs: words('switch close kill') },
  { deed: 'cover', verbs: words('cover close seal') },
  { deed: 'lower', verbs: words('lower reduce turn') },
  { deed: 'pick', verbs: words('sort pick') },
  { deed: 'discard', verbs: words('discard throw toss compost dump'), odd: { throw: ['threw', 'thrown'] } },
  { deed: 'yield', verbs: words('make yield serve fill give get produce'), odd: { make: ['made'], give: ['gave', 'given'], get: ['got'] } },
  { deed: 'keep', verbs: words('keep store last live'), odd: { keep: ['kept'] } },
  { deed: 'serve', verbs: words('serve drink enjoy pour'), odd: { drink: ['drank', 'drunk'] } },
  { deed: 'taste', verbs: words('taste check try') },
  { deed: 'go', verbs: words('go come start begin'), odd: { go: ['goes', 'went', 'gone', 'going'], come: ['came', 'coming'] } },
  { deed: 'aux', verbs: words('let allow do must like continue finish'), odd: { let: ['let', 'letting'], do: ['does', 'did'] } },
];

/** Verbs that are names of things as well: what follows must show that something is done. */
export const NOUNS_TOO: ReadonlySet<string> = new Set(
  words(
    `sour open age juice peel zest core slice press sieve filter cover rest heat bottle can sugar mash cube quarter brush cut boil cool mix drink brew blend top turn pulse use taste draw last try pit puree layer stew work pick stone splash drop start stand steep like need process live close clean warm crack place smash squeeze scald mill tear fish fill`,
  ),
);

/** In what it happens. */
export const VESSEL_WORDS: Readonly<Record<string, string>> = {
  pot: 'pot',
  stockpot: 'pot',
  saucepan: 'pot',
  pan: 'pot',
  cauldron: 'pot',
  casserole: 'pot',
  kettle: 'kettle',
  bowl: 'bowl',
  basin: 'bowl',
  recipient: 'bowl',
  dish: 'bowl',
  jug: 'jug',
  pitcher: 'jug',
  carafe: 'jug',
  jar: 'jar',
  jars: 'jar',
  tub: 'tub',
  bucket: 'tub',
  container: 'tub',
  crock: 'tub',
  bottle: 'bottles',
  bottles: 'bottles',
  blender: 'blender',
  mixer: 'blender',
  mortar: 'mortar',
  grinder: 'mill',
  mill: 'mill',
  juicer: 'juicer',
  sink: 'sink',
};

/** What it is strained through. */
export const SIEVE_WORDS: Readonly<Record<string, 'colander' | 'sieve' | 'fineMesh' | 'cloth'>> = {
  colander: 'colander',
  sieve: 'sieve',
  strainer: 'sieve',
  mesh: 'fineMesh',
  chinois: 'fineMesh',
  tamis: 'fineMesh',
  cloth: 'cloth',
  muslin: 'cloth',
  cheesecloth: 'cloth',
  gauze: 'cloth',
  flannel: 'cloth',
  linen: 'cloth',
  bag: 'cloth',
  towel: 'cloth',
  curtain: 'cloth',
  stocking: 'cloth',
  sock: 'cloth',
  napkin: 'cloth',
};

export const SUBJECTS: ReadonlySet<string> = new Set(
  words(`i you we they u one people she he it who everybody mother i'd you'll i'll we'll this everything`),
);
/** A verb in its plain form may follow these. */
export const BEFORE_PLAIN: ReadonlySet<string> = new Set(
  words(
    `to will would can could must should may might shall please just now then and or not don't dont never let lets let's also first next finally always usually n & but so again do only gently slowly carefully simply immediately afterwards later meanwhile today tomorrow here i`,
  ),
);
export const BE_FORMS: ReadonlySet<string> = new Set(
  words(`am is are be been being was were i'm we're it's you're they're she's he's gets get that's`),
);
export const NOT_WORDS: ReadonlySet<string> = new Set(
  words(
    `not don't dont never no doesn't doesnt didn't isn't without won't nor mustn't can't cannot shouldn't`,
  ),
);
/** Words that open a part of a sentence which says when or why, and tells of no step. */
export const WHEN_WORDS: ReadonlySet<string> = new Set(
  words(`when once while whilst because since if unless otherwise though although case before after`),
);
export const UNTIL_WORDS: ReadonlySet<string> = new Set(['until', 'till', 'til', 'untill', "'til"]);
/** Other people, who do it in another way. */
export const OTHERS: ReadonlySet<string> = new Set(words(`some others uncle neighbours kids children`));

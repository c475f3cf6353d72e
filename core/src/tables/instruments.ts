/** Instruments a kitchen may have. All of them are simulated in this version. */
export const INSTRUMENT_KINDS = ['probe', 'scale', 'fridgeLogger', 'refractometer', 'phStrip'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

export interface InstrumentRow {
  kind: InstrumentKind;
  reads: 'tempC' | 'massKg' | 'brix' | 'pH';
  /** Seconds by which it runs behind what it reads. */
  lagS: number;
  /** Standard deviation of a reading, in its unit. */
  noise: number;
  /** Readings come in steps of this. */
  step: number;
  /** Outside of these it shows nothing. */
  min: number;
  max: number;
  /** How far it wanders within hours, in its unit. */
  drift: number;
  source: string;
}

export const INSTRUMENT_ROWS: readonly InstrumentRow[] = [
  {
    kind: 'probe',
    reads: 'tempC',
    lagS: 25,
    noise: 0.15,
    step: 0.1,
    min: -10,
    max: 120,
    drift: 0,
    source: 'usual kitchen probe thermometer: response of half a minute in liquor, a tenth shown',
  },
  {
    kind: 'scale',
    reads: 'massKg',
    lagS: 1,
    noise: 0.002,
    step: 0.005,
    min: 0.01,
    max: 30,
    drift: 0.008,
    source: 'usual platform scale of 30 kg in steps of 5 g, creep of some grams an hour under load',
  },
  {
    kind: 'fridgeLogger',
    reads: 'tempC',
    lagS: 120,
    noise: 0.1,
    step: 0.1,
    min: -30,
    max: 50,
    drift: 0,
    source: 'usual air logger on a fridge shelf: two minutes behind, a tenth shown',
  },
  {
    kind: 'refractometer',
    reads: 'brix',
    lagS: 0,
    noise: 0.1,
    step: 0.2,
    min: 0,
    max: 32,
    drift: 0,
    source: 'usual hand refractometer 0 to 32 °Bx with temperature compensation, 0.2 to a line',
  },
  {
    kind: 'phStrip',
    reads: 'pH',
    lagS: 0,
    noise: 0.15,
    step: 0.5,
    min: 1,
    max: 6,
    drift: 0,
    source: 'usual narrow strips for acid food, half a step between two colours',
  },
];

/** How a fridge is opened and fails, for the simulated logger. */
export const FRIDGE_LIFE = Object.freeze({
  /** Once in so many minutes the door is opened, at a moment of its own. */
  everyMin: 90,
  /** What an opening adds to the air, °C, and how fast that goes, minutes. */
  openingC: 3.5,
  recoverMin: 12,
  /** Share of days on which it stands still for a while, and how long, minutes. */
  failingDays: 0.25,
  failingMin: 180,
  /** Standing still it warms by so much an hour, °C, up to the room. */
  warmsCPerH: 2,
  source: 'usual household fridge: air rises a few degrees at an opening and is back within half an hour',
});

/** How often a simulated instrument is lost, so that coping with it can be practised. */
export const LOSS = Object.freeze({
  everyMin: 100,
  forMin: 12,
  source: 'chosen for practice: once in a batch of a few hours',
});

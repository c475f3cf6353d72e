/** Colours by role. Drink colours are computed, never taken from here. */
export interface Tokens {
  ground: string;
  enamel: string;
  /** Enamel under a pointer, or chosen. */
  enamelDeep: string;
  rim: string;
  /** Decoration only: under 3 : 1. */
  rimSoft: string;
  ink: string;
  inkMuted: string;
  hairline: string;
  /** Lines and borders that carry meaning: 3 : 1 or better. */
  line: string;
  cold: string;
  heat: string;
  ready: string;
  caution: string;
  cautionGround: string;
  danger: string;
  dangerGround: string;
  onRim: string;
  /** Hours of sleep, in a drawing of days. Nothing is written on it. */
  night: string;
}

export const DAY: Tokens = {
  ground: '#E4EBEF',
  enamel: '#FCFDFD',
  enamelDeep: '#E8ECFA',
  rim: '#21409A',
  rimSoft: '#B9C6E6',
  ink: '#13203D',
  inkMuted: '#4F5E7B',
  hairline: '#D5DEE6',
  line: '#6F7F9E',
  cold: '#2467A8',
  heat: '#B23E16',
  ready: '#236B40',
  caution: '#7E4F00',
  cautionGround: '#FFF3D9',
  danger: '#B3261E',
  dangerGround: '#FDE9E7',
  onRim: '#FFFFFF',
  night: '#101C3F',
};

export const NIGHT: Tokens = {
  ground: '#0E1A3A',
  enamel: '#16244C',
  enamelDeep: '#22346A',
  rim: '#A9BDF5',
  rimSoft: '#3C528F',
  ink: '#F1F4FC',
  inkMuted: '#BAC6E4',
  hairline: '#2C3E72',
  line: '#8FA0CB',
  cold: '#8CC4F5',
  heat: '#FFA584',
  ready: '#86D6A3',
  caution: '#FFCB70',
  cautionGround: '#3A2C0B',
  danger: '#FFB0A8',
  dangerGround: '#4A1815',
  onRim: '#0E1A3A',
  night: '#080F26',
};

/** Pairs of text and ground that are used together, with the contrast they need. A test checks every one. */
export const PAIRS: readonly { over: keyof Tokens; under: keyof Tokens; least: number }[] = [
  ...(['ground', 'enamel', 'enamelDeep'] as const).flatMap((under) => [
    { over: 'ink' as const, under, least: 7 },
    { over: 'inkMuted' as const, under, least: 4.5 },
    { over: 'rim' as const, under, least: 4.5 },
    { over: 'line' as const, under, least: 3 },
    { over: 'cold' as const, under, least: 4.5 },
    { over: 'heat' as const, under, least: 4.5 },
    { over: 'ready' as const, under, least: 4.5 },
    { over: 'caution' as const, under, least: 4.5 },
    { over: 'danger' as const, under, least: 4.5 },
  ]),
  { over: 'caution', under: 'cautionGround', least: 4.5 },
  { over: 'ink', under: 'cautionGround', least: 7 },
  { over: 'danger', under: 'dangerGround', least: 4.5 },
  { over: 'ink', under: 'dangerGround', least: 7 },
  { over: 'onRim', under: 'rim', least: 4.5 },
];

import { again, type Drawn, oval, ring } from './drawn.ts';

const CLOVE = [
  'M-3 26C-4 16-4 6-3-4L3-4C4 6 4 16 3 26Q0 29-3 26Z',
  'M-3-4L-9-11M3-4L9-11M-3-4L-5-12M3-4L5-12',
  ring(0, -12, 4.5),
];
const POD = [
  'M0 22C-13 14-13-10 0-22C13-10 13 14 0 22Z',
  'M0-22V22',
  'M-5-14C-8-4-8 6-4 15M5-14C8-4 8 6 4 15',
];
const STICK = [
  'M-30-6H24',
  'M-30 6H24',
  'M24-6C32-6 32 6 24 6C19 6 19-1 24-1C26-1 26 2 24 2',
  'M-30-6C-34-6-34 6-30 6C-26 6-27-2-30-1',
  'M-24 0H16',
];
const CHILLI = ['M-7-18C-8 0-6 18 12 34C10 22 12 4 8-18', 'M-8-17C-5-22 5-22 9-17', 'M0-21C0-26 2-30 7-32'];
const STAR_ARM = ['M0-3C-7-10-6-21 0-28C6-21 7-10 0-3Z', ring(0, -14, 2.2)];

/** Barks, berries, seeds and pods. */
export const SPICES: Readonly<Record<string, Drawn>> = {
  clove: [...again(CLOVE, 'translate(19 33) rotate(-10)'), ...again(CLOVE, 'translate(45 36) rotate(16)')],
  allspice: [
    ring(20, 22, 12),
    ring(20, 15, 3.5),
    ring(45, 28, 11),
    ring(45, 21, 3.2),
    ring(28, 48, 11),
    ring(28, 41, 3.2),
  ],
  pepper: [
    'M34 3C30 20 33 40 29 61',
    ring(25, 14, 5),
    ring(40, 17, 5),
    ring(24, 26, 5),
    ring(40, 29, 5),
    ring(23, 38, 5),
    ring(39, 41, 5),
    ring(22, 50, 5),
    ring(37, 53, 5),
  ],
  paradise: [
    'M22 58C6 50 8 26 20 10C22 4 24 4 26 10C38 26 38 50 22 58Z',
    'M22 12V56M15 24C12 34 13 45 17 52M29 24C32 34 31 45 27 52',
    'M46 20L51 23 49 29 43 28 42 23Z',
    'M52 38L57 41 55 47 49 46 48 41Z',
    'M42 48L47 51 45 57 39 56 38 51Z',
  ],
  selim: [
    'M34 4V12',
    'M34 12C26 12 23 19 27 22C20 23 18 30 22 33C15 34 13 41 17 44C11 46 10 53 14 56C19 59 24 54 22 49C28 48 29 41 26 38C32 37 33 30 30 27C35 25 37 17 34 12Z',
    'M34 12C41 14 43 20 39 23C46 25 47 32 43 34C49 37 50 43 45 46C50 49 49 56 44 58C39 59 36 54 38 49C33 47 33 40 36 38C32 35 32 29 34 27',
  ],
  cinnamon: [
    ...again(STICK, 'translate(30 26) rotate(-38)'),
    ...again(STICK, 'translate(36 42) rotate(-38)'),
  ],
  starAnise: [
    ...[0, 45, 90, 135, 180, 225, 270, 315].flatMap((deg) =>
      again(STAR_ARM, `translate(32 32) rotate(${deg})`),
    ),
    ring(32, 32, 3),
  ],
  cardamom: [...again(POD, 'translate(20 34) rotate(-16)'), ...again(POD, 'translate(45 32) rotate(22)')],
  coriander: [
    'M32 62V36M32 36L12 20M32 36L22 12M32 36L32 8M32 36L42 12M32 36L52 20',
    ring(11, 16, 5),
    ring(21, 8, 5),
    ring(33, 6, 5),
    ring(44, 8, 5),
    ring(54, 16, 5),
  ],
  cayenne: [
    ...again(CHILLI, 'translate(20 34) rotate(12) scale(.72)'),
    'M14 61C22 47 32 44 40 44C48 44 56 52 60 61Z',
    'M30 56h.5M38 51h.5M46 56h.5M38 58h.5',
  ],
  chilli: [...again(CHILLI, 'translate(22 32)'), ...again(CHILLI, 'translate(48 30) scale(-.8 .8)')],
  seeds: [
    oval(20, 20, 10, 6, -30),
    oval(44, 18, 10, 6, 24),
    oval(32, 36, 10, 6, 80),
    oval(14, 44, 10, 6, 20),
    oval(48, 46, 10, 6, -34),
  ],
};

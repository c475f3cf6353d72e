import { again, type Drawn } from './drawn.ts';

const SPRIG_LEAF = ['M0 0C-8 2-18-2-22-10C-14-14-3-9 0 0Z', 'M0 0C-6-4-12-7-17-8'];
const NARROW_LEAF = ['M0 0C-6-3-12-10-14-20C-6-16-1-9 0 0Z', 'M0 0C-4-6-8-11-11-15'];
const TINY_LEAF = ['M0 0C-6 1-9-2-10-6C-5-7-1-4 0 0Z'];

/** Flowers, leaves and stalks. */
export const FLOWERS_AND_HERBS: Readonly<Record<string, Drawn>> = {
  hibiscus: [
    'M32 6C24 18 22 33 27 45Q32 49 37 45C42 33 40 18 32 6Z',
    'M27 45C19 38 10 30 6 16C17 21 24 27 25 34',
    'M37 45C45 38 54 30 58 16C47 21 40 27 39 34',
    'M27 45C23 51 27 56 32 56C37 56 41 51 37 45',
    'M26 52C20 53 16 50 14 46M38 52C44 53 48 50 50 46',
    'M32 56V63',
    'M32 20V38',
  ],
  spiceLeaf: [
    'M10 54C7 30 24 11 56 8C56 36 38 56 10 54Z',
    'M5 60L44 20',
    'M20 44L19 32M28 36L28 22M20 45L33 45M28 37L42 36',
  ],
  lemongrass: [
    'M26 61C22 51 25 42 28 35C24 25 15 14 7 8',
    'M38 61C42 51 39 42 36 35C40 25 49 14 57 8',
    'M26 61H38',
    'M32 61V6',
    'M28 35C27 26 24 16 20 8M36 35C37 26 40 16 44 8',
    'M25 44H39M25 48H39',
  ],
  mint: [
    'M32 62C32 44 31 24 32 10',
    'M32 48L26 49 23 46 18 46 15 42 11 41 9 35 13 34 17 35 21 35 25 39 29 41 32 48',
    'M32 48L38 49 41 46 46 46 49 42 53 41 55 35 51 34 47 35 43 35 39 39 35 41 32 48',
    'M32 27L27 28 24 25 20 24 17 19 15 14 20 13 24 15 28 18 32 27',
    'M32 27L37 28 40 25 44 24 47 19 49 14 44 13 40 15 36 18 32 27',
    'M32 13C28 10 29 5 32 2C35 5 36 10 32 13Z',
    'M32 48L17 39M32 48L47 39M32 27L21 17M32 27L43 17',
  ],
  basil: [
    'M32 62V40',
    'M32 44C17 49 5 38 7 22C23 19 35 30 32 44Z',
    'M32 44C47 49 59 38 57 22C41 19 29 30 32 44Z',
    'M32 30C22 24 22 10 32 3C42 10 42 24 32 30Z',
    'M30 42C24 34 18 29 12 26M34 42C40 34 46 29 52 26M32 26V11',
  ],
  thyme: [
    'M14 62C22 44 32 24 48 4',
    'M24 62C32 50 42 38 56 30',
    ...again(TINY_LEAF, 'translate(20 48)'),
    ...again(TINY_LEAF, 'translate(26 37)'),
    ...again(TINY_LEAF, 'translate(33 26)'),
    ...again(TINY_LEAF, 'translate(40 15)'),
    ...again(TINY_LEAF, 'translate(21 47) rotate(118)'),
    ...again(TINY_LEAF, 'translate(29 33) rotate(118)'),
    ...again(TINY_LEAF, 'translate(37 21) rotate(118)'),
    ...again(TINY_LEAF, 'translate(33 50) rotate(20)'),
    ...again(TINY_LEAF, 'translate(42 41) rotate(20)'),
    ...again(TINY_LEAF, 'translate(36 47) rotate(140)'),
    ...again(TINY_LEAF, 'translate(46 38) rotate(140)'),
  ],
  rooibos: [
    'M32 62V24',
    'M32 46L12 38M32 46L52 38M32 40L14 26M32 40L50 26M32 33L20 15M32 33L44 15M32 26L27 6M32 26L37 6M32 52L16 50M32 52L48 50M32 26V4',
  ],
  stevia: [
    'M32 62V10',
    ...again(NARROW_LEAF, 'translate(32 52)'),
    ...again(NARROW_LEAF, 'translate(32 36)'),
    ...again(NARROW_LEAF, 'translate(32 44) scale(-1 1)'),
    ...again(NARROW_LEAF, 'translate(32 28) scale(-1 1)'),
    'M32 14C28 10 29 4 32 1C35 4 36 10 32 14Z',
  ],
  agave: [
    'M27 58C24 40 27 20 32 4C37 20 40 40 37 58Z',
    'M27 56C18 46 11 30 9 14C19 23 26 36 28 46',
    'M37 56C46 46 53 30 55 14C45 23 38 36 36 46',
    'M27 58C17 55 7 47 3 36C13 39 21 44 26 51',
    'M37 58C47 55 57 47 61 36C51 39 43 44 38 51',
  ],
  maple: [
    'M32 61V44',
    'M32 45C26 47 20 47 16 45L20 38 8 30 15 28 12 19 21 22 24 26 23 11 28 16 32 4 36 16 41 11 40 26 43 22 52 19 49 28 56 30 44 38 48 45C44 47 38 47 32 45Z',
    'M32 45V18M32 38L21 29M32 38L43 29',
  ],
  leaf: [
    'M32 62V50',
    'M32 54C12 48 12 22 32 4C52 22 52 48 32 54Z',
    'M32 54V16M32 42L22 34M32 42L42 34M32 31L25 25M32 31L39 25',
  ],
  sprig: [
    'M32 62V8',
    ...again(SPRIG_LEAF, 'translate(32 50)'),
    ...again(SPRIG_LEAF, 'translate(32 50) scale(-1 1)'),
    ...again(SPRIG_LEAF, 'translate(32 32) scale(.8)'),
    ...again(SPRIG_LEAF, 'translate(32 32) scale(-.8 .8)'),
  ],
};

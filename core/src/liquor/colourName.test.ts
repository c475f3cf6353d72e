import { describe, expect, it } from 'vitest';
import { COLOUR_NAME_ROWS } from '../tables/colourNames.ts';
import { colourName } from './colourName.ts';

describe('colours by name', () => {
  it.each([
    ['#cc0008', 'red'],
    ['#750000', 'deepRed'],
    ['#ffffff', 'clear'],
    ['#2a0000', 'blackRed'],
    ['#f0a8a8', 'pink'],
    ['#e8c84a', 'golden'],
    ['#7a5a20', 'brown'],
    ['#8fae5a', 'green'],
    ['#808080', 'grey'],
    ['none', 'clear'],
  ])('%s is %s', (hex, name) => expect(colourName(hex)).toBe(name));
  it('there is one for every colour', () => {
    const names = new Set(COLOUR_NAME_ROWS.map((row) => row.name));
    for (let i = 0; i < 0x1000000; i += 65_537 * 3 + 4099)
      expect(names).toContain(colourName(`#${i.toString(16).padStart(6, '0')}`));
  });
});

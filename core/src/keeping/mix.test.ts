import { describe, expect, it } from 'vitest';
import { volumeMl } from '../liquor/composition.ts';
import { TABLES } from '../testKitchen.ts';
import { keepingOfMix } from './mix.ts';

const cordial = (juiceMl: number, honeyG: number, vinegarMl: number, pH?: number) =>
  keepingOfMix(
    [
      { id: 'pineapple-juice', volumeMl: juiceMl },
      { id: 'honey', massG: honeyG },
      { id: 'cider-vinegar', volumeMl: vinegarMl },
    ],
    TABLES,
    'sterilised',
    pH === undefined ? null : { pH, by: 'meter' },
  );

describe('what is poured together cold', () => {
  it('1 : 1 : 1 of juice, honey and vinegar, read as acid, keeps by vinegar and sugar', () => {
    const { keeping, liquor } = cordial(400, 568, 400, 3.4);
    // 20 g of acetic in 1.2 L: 1.67 g/100 mL; sugar well above 25 °Bx.
    expect((100 * liquor.aceticG) / volumeMl(liquor)).toBeCloseTo(1.67, 1);
    expect(keeping.sealedDays).toBe(60);
    expect(keeping.openDays).toBe(45);
  });
  it('by the estimate alone, 3.31, it is a hair above what counts as acid: two days until somebody reads it', () => {
    const { keeping } = cordial(400, 568, 400);
    expect(keeping.acid).toMatchObject({ shown: false, by: 'estimate' });
    expect(keeping.sealedDays).toBe(2);
    // A little more vinegar brings the estimate under 3.3.
    expect(cordial(400, 568, 480).keeping.sealedDays).toBe(60);
  });
  it('the vinegar ran short: it keeps no longer than raw juice', () => {
    // 5 g in 900 mL: 0.56 g/100 mL is below 1.2.
    const { keeping } = cordial(400, 568, 100, 3.9);
    expect(keeping.sealedDays).toBeLessThanOrEqual(3);
    expect(keeping.keepClass).toBe('raw');
  });
  it('the sweetener ran short: below 25 °Bx nothing is preserved', () => {
    const { keeping } = cordial(400, 60, 400, 3.2);
    expect(keeping.sealedDays).toBeLessThanOrEqual(3);
  });
});

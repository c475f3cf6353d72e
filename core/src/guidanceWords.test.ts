import { describe, expect, it } from 'vitest';
import {
  type Bare,
  BOIL,
  BOTTLE,
  combine,
  cordial,
  type Made,
  own,
  STRAIN,
  saidAt,
} from './hazards.fixtures.ts';
import type { Step } from './program/model/steps.ts';

describe('words fit the circumstances', () => {
  const codes = (made: Made, kind: Step['kind']) => saidAt(made, kind).map((g) => g.code);
  it('what is put into the fridge at room temperature warms nothing', () => {
    expect(codes(cordial(), 'steep')).not.toContain('cool.fridge');
    const cool: Bare = { kind: 'cool', place: 'fridge', lid: 'on', from: ['tub'], to: ['tub'] };
    const hot = own(['ginger-grated'], [combine('ginger-grated'), BOIL, STRAIN, cool, BOTTLE]);
    expect(codes(hot, 'cool')).toContain('cool.fridge');
  });
  it('ten minutes of mint off the heat are no hours on the counter', () => {
    const steep = (minutes: number): Bare => ({
      kind: 'steep',
      place: 'counter',
      lid: 'on',
      until: { kind: 'duration', minutes },
    });
    const mint = (minutes: number) =>
      own(['mint-leaf'], [combine('mint-leaf'), BOIL, steep(minutes), STRAIN, BOTTLE]);
    expect(codes(mint(10), 'steep')).not.toContain('steep.counter');
    expect(codes(mint(300), 'steep')).toContain('steep.counter');
  });
  it('boiled juice is raw no more, and bought juice never was', () => {
    const boiled = own(['orange-juice'], [combine('orange-juice'), BOIL, STRAIN, BOTTLE]);
    expect(codes(boiled, 'bottle')).not.toContain('who.raw');
    const raw: Bare = { kind: 'mix', from: ['pot'], to: ['tub'], lines: ['orange-juice'] };
    const stirredIn = own(['orange-juice'], [combine(), BOIL, STRAIN, raw, BOTTLE]);
    expect(codes(stirredIn, 'bottle')).toContain('who.raw');
  });
});

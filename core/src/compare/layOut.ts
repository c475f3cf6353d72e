import type { Kitchen } from '../documents/kitchen.ts';
import type { Program } from '../program/model/program.ts';
import { traitsOf } from '../program/model/tags.ts';
import { FIRM_SKINS } from '../tables/traits.ts';
import type { Tables } from '../tables/types.ts';

/** Something to lay out, look over and have clean before the first step. */
export interface ToLayOut {
  code: 'pots' | 'bowl' | 'brush' | 'sieve' | 'cloth' | 'blender' | 'receiver' | 'bottles' | 'thermometer';
  /** Names, where it is something of this kitchen. */
  names: readonly string[];
}

/** What a batch needs of vessels and tools, in the order of use. */
export function toLayOut(program: Program, kitchen: Kitchen, tables: Tables): ToLayOut[] {
  const kinds = new Set(program.steps.map((s) => s.kind));
  const traits = traitsOf(
    program.lines.map((l) => l.itemId),
    tables,
  );
  const potIds = program.vessels.flatMap((v) => v.potId ?? []);
  const pots = kitchen.pots.filter((p) => potIds.includes(p.id)).map((p) => p.name);
  const strains = program.steps.filter((s) => s.kind === 'strain');
  const needed: [ToLayOut['code'], boolean, (readonly string[])?][] = [
    ['brush', kinds.has('wash') && FIRM_SKINS.some((skin) => traits.has(skin))],
    ['bowl', kinds.has('wash')],
    ['pots', pots.length > 0, pots],
    ['blender', kinds.has('blend')],
    ['sieve', strains.length > 0],
    ['cloth', strains.some((s) => s.cloth || s.press === 'wring')],
    ['receiver', strains.length > 0],
    ['thermometer', kinds.has('cool')],
    ['bottles', kinds.has('bottle')],
  ];
  return needed.flatMap(([code, is, names = []]) => (is ? [{ code, names }] : []));
}

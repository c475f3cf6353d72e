import type { Confidence } from './types.ts';

/** How much a root gives against a usual one, by how it looks and smells when it is cut. */
export const VIGOUR_ROWS = [
  {
    id: 'weak',
    gives: 0.6,
    confidence: 'l',
    source: 'Cooks take half as much again of a pale or old root, up to twice as much',
  },
  { id: 'usual', gives: 1, confidence: 'h', source: 'By definition: what the table of ingredients has' },
  {
    id: 'strong',
    gives: 1.35,
    confidence: 'l',
    source: 'Old, fibrous, sharp roots: cooks take about a quarter less',
  },
] as const satisfies readonly { id: string; gives: number; confidence: Confidence; source: string }[];
export type VigourId = (typeof VIGOUR_ROWS)[number]['id'];
export const VIGOUR_IDS: readonly VigourId[] = VIGOUR_ROWS.map((row) => row.id);

/** What a gram gives against a gram of the usual. */
export const vigourGives = (id: VigourId): number => VIGOUR_ROWS.find((row) => row.id === id)!.gives;

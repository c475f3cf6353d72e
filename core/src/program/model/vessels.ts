/** Vessels of a batch: the pot that boils, a bowl for what is washed, a tub that receives, the bottles. */
export const POT = 'pot';
/** The pots of a batch: the first, and those that stand beside it. */
export const potAt = (index: number): string => (index === 0 ? POT : `${POT}-${index + 1}`);
export const isPot = (vesselId: string): boolean => vesselId === POT || /^pot-\d+$/.test(vesselId);
export const BOWL = 'bowl';
export const TUB = 'tub';
export const BOTTLES = 'bottles';
export const SPENT = 'spent';
export const SPICE_POT = 'spicePot';
/** It heats water by itself, on no ring. */
export const KETTLE = 'kettle';
export const BLENDER = 'blender';
/** Raw juice waits here, cold, until it is stirred in. */
export const JUG = 'jug';
/** Where a part made aside waits. */
export const jarOf = (partId: string): string => `jar-${partId}`;
export const partOfJar = (vesselId: string): string => vesselId.replace(/^jar-/, '');

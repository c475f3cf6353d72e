import type { LotName } from './ids.ts';
import type { Program } from './program.ts';
import type { VesselSpec } from './vessel.ts';

/** A lot has a vessel of its own, and bottles of its own. */
export const lotVessel = (lotId: string): string => `lot-${lotId}`;
export const lotBottles = (lotId: string): string => `bottles-${lotId}`;
/** The lot of a vessel or of bottles; null for the batch's own. */
export const lotOf = (vesselId: string): string | null =>
  /^(?:lot|bottles)-(.+)$/.exec(vesselId)?.[1] ?? null;
/** What a vessel's lot is to be; null for the batch's own. */
export const lotOfVessel = (program: Pick<Program, 'vessels'>, vesselId: string): LotName | null =>
  program.vessels.find((v) => v.id === vesselId)?.lot ?? null;

/** A lot's own tub and bottles. */
export const lotVessels = (lotId: string, { kind, number, name }: LotName): VesselSpec[] => {
  const lot = { kind, ...(number === undefined ? {} : { number }), ...(name === undefined ? {} : { name }) };
  const bare = { shape: null, massG: 0, lot };
  return [
    { id: lotVessel(lotId), kind: 'tub', ...bare },
    { id: lotBottles(lotId), kind: 'bottles', ...bare },
  ];
};

/** What a part of a batch is to be. Alcohol is never what a lot begins with. */
export const LOT_KINDS = ['plain', 'sweet', 'noAddedSugar', 'children', 'spirits', 'trial'] as const;
export type LotKind = (typeof LOT_KINDS)[number];

/** Which part of a batch it is: a number where there are several of its kind; entries of before have a name. */
export interface LotName {
  kind: LotKind;
  number?: number | undefined;
  name?: string | undefined;
}

/** A lot has a vessel of its own, and bottles of its own. */
export const lotVessel = (lotId: string): string => `lot-${lotId}`;
export const lotBottles = (lotId: string): string => `bottles-${lotId}`;
/** The lot of a vessel or of bottles; null for the batch's own. */
export const lotOf = (vesselId: string): string | null =>
  /^(?:lot|bottles)-(.+)$/.exec(vesselId)?.[1] ?? null;

import type { LotKind } from '../../documents/lot.ts';

export type LineId = string;

export type StepId = string;

export type VesselId = string;

/** Which part of a batch it is: a number where there are several of its kind; entries of before have a name. */
export interface LotName {
  kind: LotKind;
  number?: number | undefined;
  name?: string | undefined;
}

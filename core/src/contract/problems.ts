import type { StepProblem } from '../program/model/simulation.ts';

/**
 * Everything that the server refuses, with the status it answers. What is said of it stands in the catalogue of words,
 * under `problem.<code>`; `params` are what the sentence is filled with.
 */
export const PROBLEMS = {
  // The message
  malformedJson: 400,
  badRequest: 400,
  tooLarge: 413,
  invalid: 422,
  notFound: 404,
  noSuchPlace: 404,
  otherId: 422,
  // Who may ask
  wrongHost: 421,
  wrongOrigin: 403,
  notPaired: 401,
  wrongCode: 403,
  tooManyTries: 429,
  firstScreenOnly: 403,
  fixedAtStart: 409,
  noCertificate: 409,
  // Documents
  changedElsewhere: 409,
  alreadyThere: 409,
  shippedId: 409,
  alreadyStarted: 409,
  unknownPart: 422,
  tooFarAhead: 422,
  cannotStart: 422,
  notAnArchive: 422,
  archiveNewer: 422,
  archiveCutShort: 422,
  archiveLine: 422,
  importUnderWay: 409,
  nothingToTake: 409,
  badPhoto: 422,
  tooManyPhotos: 422,
  // Events
  inTheFuture: 422,
  notStarted: 409,
  unreadable: 409,
  unknownPlace: 422,
  unknownStep: 422,
  idTaken: 422,
  otherStream: 422,
  sameIdOtherBody: 409,
  cannotBeTrue: 422,
  // The machine
  storage: 507,
  damaged: 507,
  backupFailed: 507,
  badFolder: 422,
  busy: 503,
  beginningAnew: 503,
  internal: 500,
} as const satisfies Record<string, number>;
export type ProblemCode = keyof typeof PROBLEMS;

/** Refusals that are about an entry itself: sent again, the same server would say the same. */
export const FINAL_PROBLEMS: ReadonlySet<string> = new Set<ProblemCode>([
  'invalid',
  'sameIdOtherBody',
  'cannotBeTrue',
  'idTaken',
  'otherStream',
]);

/** One field that was wrong and why, as a code: for the form to show. */
export interface FieldProblem {
  field: string;
  message: string;
}

/** Problem details (RFC 9457) as the server sends them. */
export interface Problem {
  type: string;
  title: ProblemCode;
  status: number;
  params?: Readonly<Record<string, string | number>>;
  fields?: readonly FieldProblem[];
  /** What is stored in the place of what was sent. */
  stored?: unknown;
  sent?: unknown;
  /** What the interpreter or the solver met. */
  problem?: StepProblem | { kind: string };
  eventId?: string;
}
export const PROBLEM_TYPE = 'urn:big-ladle:problem:';

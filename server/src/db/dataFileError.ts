/** The data file cannot be used; the message says why and what to do. */
export class DataFileError extends Error {}

/** Whether something went wrong with the file itself, and not with what is stored in it. */
export const isOfFile = (error: unknown): boolean =>
  /^(?:SQLITE|E[A-Z]+)/.test((error as { code?: string } | null)?.code ?? '');

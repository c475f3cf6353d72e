/** The data file cannot be used; the message says why and what to do. */
export class DataFileError extends Error {}

/** The database's codes and the system's for a folder or a disk to which nothing can be written. */
const CODES = /^(?:SQLITE_(?:FULL|IOERR|READONLY|CANTOPEN|PERM)|ENOSPC|EROFS|EACCES|EPERM|EDQUOT|EFBIG)/;

/** Whether an error says that nothing can be written, and nothing about the file itself. */
export const takesNothing = (error: unknown): boolean =>
  CODES.test((error as { code?: string } | null)?.code ?? '');

import { BACKUP_KINDS, type BackupFile, type BackupKind } from '@big-ladle/core/contract';

const NAME = /^big-ladle_(\d{4})-(\d\d)-(\d\d)T(\d\d)(\d\d)(\d\d)Z_([a-z-]+)\.sqlite$/;

/** A name that sorts by its moment and says why it was made: "big-ladle_2026-11-29T091500Z_daily.sqlite". */
export function backupName(kind: BackupKind, atMs: number): string {
  const moment = new Date(atMs)
    .toISOString()
    .replace(/:/g, '')
    .replace(/\.\d+Z$/, 'Z');
  return `big-ladle_${moment}_${kind}.sqlite`;
}

/** What a file's name says of it; null: it is no backup of ours. */
export function readBackupName(name: string): Pick<BackupFile, 'kind' | 'atMs'> | null {
  const m = NAME.exec(name);
  const kind = BACKUP_KINDS.find((k) => k === m?.[7]);
  if (!m || !kind) return null;
  const [year, month, day, hour, minute, second] = m.slice(1, 7).map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return { kind, atMs: Date.UTC(year, month - 1, day, hour, minute, second) };
}

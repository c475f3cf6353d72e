import type { NetworkExposure } from '../access.ts';
import type { ImportDesk } from '../archive/desk.ts';
import type { BackupDesk } from '../backup/desk.ts';
import type { AdjustableClock } from '../clock.ts';
import type { Db } from '../db/db.ts';
import type { LearningDesk } from '../learning/desk.ts';
import type { PhotoStore } from '../photos/store.ts';
import type { StreamHub } from '../stream.ts';

/** What the routes stand on. */
export interface ApiParts {
  db: Db;
  clock: AdjustableClock;
  hub: StreamHub;
  version: string;
  test: boolean;
  backups: BackupDesk;
  imports: ImportDesk;
  photos: PhotoStore;
  learning: LearningDesk;
  /** Nothing can be written: what is there is read, everything else waits. */
  readOnly: boolean;
  openness: NetworkExposure;
}

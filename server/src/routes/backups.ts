import { ROUTES } from '@big-ladle/core/contract';
import type { Router } from 'express';
import { type NetworkExposure, onlyFirstScreen } from '../access.ts';
import type { BackupDesk } from '../backup/desk.ts';
import type { Serve } from './serve.ts';

/** Backups, told, made and put back on the first screen. */
export function serveBackups(
  router: Router,
  serve: Serve,
  { backups, openness }: { backups: BackupDesk; openness: NetworkExposure },
): void {
  router.use(ROUTES.backups.path, onlyFirstScreen(openness));
  serve(ROUTES.backups, async () => ({ answer: backups.state() }));
  serve(ROUTES.makeBackup, async () => ({ answer: await backups.make('asked') }));
  serve(ROUTES.chooseBackupFolder, async ({ body }) => ({ answer: await backups.choose(body.folder) }));
  serve(ROUTES.restoreBackup, async ({ body }) => {
    await backups.restore(body.name);
    return { answer: undefined };
  });
}

import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { BackupFile } from '@big-ladle/core/contract';
import Database from 'better-sqlite3';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { DATA_FILE } from '../db/dataFile.ts';
import { DataFileError } from '../db/dataFileError.ts';
import { readInMemory } from '../db/readOnly.ts';
import { takesNothing } from '../db/takesNothing.ts';
import { withLog } from '../db/walFile.ts';
import { openDb } from '../opening/open.ts';
import { CALYX_PLAN, NOW, ONE_POT, TestServer } from '../testServer.ts';
import { backupFolder, chooseFolder, listBackups, makeBackup, newestGood } from './backups.ts';
import { backupName, readBackupName } from './names.ts';
import { finishRestore, prepareRestore } from './restore.ts';
import { KEPT, mayGo } from './retention.ts';
import { faultOf } from './verify.ts';

const DAY_MS = 24 * 3_600_000;
const daily = (atMs: number): BackupFile => ({
  name: backupName('daily', atMs),
  kind: 'daily',
  atMs,
  bytes: 1,
});

describe('names of backups', () => {
  it('say when and why, and are read back', () => {
    const atMs = Date.UTC(2026, 10, 29, 9, 15);
    expect(backupName('daily', atMs)).toBe('big-ladle_2026-11-29T091500Z_daily.sqlite');
    expect(readBackupName('big-ladle_2026-11-29T091500Z_daily.sqlite')).toEqual({ kind: 'daily', atMs });
    for (const other of ['big-ladle.sqlite', 'notes.txt', 'big-ladle_2026-11-29T091500Z_other.sqlite'])
      expect(readBackupName(other)).toBeNull();
  });
});

describe('which backups stay', () => {
  it('a year of days: seven days, four weeks, twelve months', () => {
    const year = Array.from({ length: 365 }, (_, i) => daily(Date.UTC(2026, 10, 29, 12) - i * DAY_MS));
    const gone = new Set(mayGo(year));
    const stays = year.filter((b) => !gone.has(b));
    // Sunday 29 November 2026. Days: 23 to 29 November. Weeks end on Sundays: 29, 22, 15 and 8 November.
    // Months end on their last day: 29 November, 31 October … back to 31 December 2025.
    const dates = stays.map((b) => new Date(b.atMs).toISOString().slice(0, 10));
    expect(dates.slice(0, 10)).toEqual([
      '2026-11-29',
      '2026-11-28',
      '2026-11-27',
      '2026-11-26',
      '2026-11-25',
      '2026-11-24',
      '2026-11-23',
      '2026-11-22',
      '2026-11-15',
      '2026-11-08',
    ]);
    expect(dates.slice(10)).toEqual([
      '2026-10-31',
      '2026-09-30',
      '2026-08-31',
      '2026-07-31',
      '2026-06-30',
      '2026-05-31',
      '2026-04-30',
      '2026-03-31',
      '2026-02-28',
      '2026-01-31',
      '2025-12-31',
    ]);
  });
  it('never the newest goes, what stays stays when it is asked again, and there are never too many', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 1000 * DAY_MS }), { minLength: 1, maxLength: 80 }),
        (moments) => {
          const all = [...new Set(moments)].map(daily);
          const gone = new Set(mayGo(all));
          const stays = all.filter((b) => !gone.has(b));
          expect(stays).toContain(all.reduce((a, b) => (b.atMs > a.atMs ? b : a)));
          expect(mayGo(stays)).toEqual([]);
          expect(stays.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
        },
      ),
      { seed: 17 },
    );
  });
});

describe('a kitchen with backups', () => {
  let k: TestServer;
  beforeEach(async () => {
    k = await new TestServer().open();
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await k.api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
  });
  afterEach(() => k.dispose());

  it('a copy made while others write is whole, and opens as a kitchen', async () => {
    const writing = Array.from({ length: 20 }, (_, i) =>
      k.api('POST', '/batches', { id: `w${i}`, plan: CALYX_PLAN }),
    );
    const backup = await makeBackup(k.dir, 'daily', NOW);
    await Promise.all(writing);
    const file = path.join(backupFolder(k.dir), backup.name);
    expect(faultOf(file)).toBeNull();
    const copy = new Database(file, { readonly: true });
    expect(copy.prepare("select id from batch where id = 'b1'").get()).toEqual({ id: 'b1' });
    copy.close();
    expect(readdirSync(backupFolder(k.dir))).toEqual([backup.name]);
  });
  it('is told, asked for, and put back on the first screen; what was there then is kept as well', async () => {
    const asked = await k.api('POST', '/backups');
    expect(asked.body.kind).toBe('asked');
    await k.api('POST', '/batches', { id: 'later', plan: CALYX_PLAN });
    k.clock.set(NOW + 60_000, false);
    const restored = await k.api('POST', '/backups/restore', { name: asked.body.name });
    expect(restored.status).toBe(204);
    expect(k.restarts).toBe(1);
    await k.stop();
    await k.open();
    expect((await k.api('GET', '/batches/b1')).status).toBe(200);
    expect((await k.api('GET', '/batches/later')).status).toBe(404);
    const { backups, problem } = (await k.api('GET', '/backups')).body;
    expect(backups.map((b: BackupFile) => b.kind)).toEqual(['before-restore', 'asked']);
    expect(problem).toBeNull();
    expect(readdirSync(k.dir).some((f) => f.startsWith(`${DATA_FILE}.replaced-`))).toBe(true);
  });
  it('a folder of the cook’s choice is tried before it is taken', async () => {
    const other = mkdtempSync(path.join(tmpdir(), 'big-ladle-disk-'));
    writeFileSync(path.join(other, 'file'), '');
    const refused = await k.api('PUT', '/backups/folder', { folder: path.join(other, 'file', 'below') });
    expect(refused.status).toBe(422);
    expect(refused.body.title).toBe('badFolder');
    expect((await k.api('PUT', '/backups/folder', { folder: 'beside' })).status).toBe(422);
    const taken = await k.api('PUT', '/backups/folder', { folder: path.join(other, 'ladle') });
    expect(taken.body.folder).toBe(path.join(other, 'ladle'));
    expect(taken.body.backups).toHaveLength(1);
    expect((await k.api('POST', '/backups/restore', { name: '../../etc/passwd' })).status).toBe(404);
    rmSync(other, { recursive: true });
  });
  it('one that cannot be made is a problem that stays in sight until one was made', async () => {
    const folder = backupFolder(k.dir);
    rmSync(folder, { recursive: true, force: true });
    writeFileSync(folder, 'in the way');
    const failed = await k.api('POST', '/backups');
    expect(failed.status).toBe(507);
    expect((await k.api('GET', '/backups')).body.problem).toMatch(/EEXIST|ENOTDIR/);
    rmSync(folder);
    expect((await k.api('POST', '/backups')).status).toBe(200);
    expect((await k.api('GET', '/backups')).body.problem).toBeNull();
    k.reports.length = 0;
  });
  it('before an archive is taken in, a backup is made', async () => {
    const archive = await k.archive();
    expect((await k.upload(archive)).stage).toBe('checked');
    // Looked over, nothing is changed, and nothing need be kept.
    expect(listBackups(backupFolder(k.dir))).toEqual([]);
    await k.takeIn(archive);
    expect(listBackups(backupFolder(k.dir)).map((b) => b.kind)).toEqual(['before-import']);
  });
});

describe('putting a backup back', () => {
  let dir: string;
  const mark = async (value: string) => {
    const db = await openDb(dir);
    await db('setting').insert({ key: 'mark', value }).onConflict('key').merge();
    await db.destroy();
  };
  const marked = async () => {
    const db = await openDb(dir);
    const row = (await db('setting').where({ key: 'mark' }).first()) as { value: string };
    await db.destroy();
    return row.value;
  };
  beforeEach(() => {
    dir = mkdtempSync(path.join(tmpdir(), 'big-ladle-'));
  });
  afterEach(() => rmSync(dir, { recursive: true }));

  it('cut off between any two of its moves it is finished at the next start', async () => {
    await mark('then');
    const backup = path.join(backupFolder(dir), (await makeBackup(dir, 'asked', NOW)).name);
    await mark('now');
    // Cut off while the copy is written: nothing has changed.
    writeFileSync(path.join(dir, `${DATA_FILE}.restoring.unfinished`), 'half');
    expect(await marked()).toBe('now');
    // Cut off when it is ready.
    prepareRestore(dir, backup);
    expect(await marked()).toBe('then');
    // Cut off after the old file was moved away, before the new one has its name.
    await mark('now');
    prepareRestore(dir, backup);
    rmSync(path.join(dir, DATA_FILE));
    for (const part of ['-wal', '-shm']) rmSync(path.join(dir, `${DATA_FILE}${part}`), { force: true });
    expect(finishRestore(dir)).toBeNull();
    expect(await marked()).toBe('then');
  });
  it('a backup that is no good is refused, and the kitchen stays as it is', async () => {
    await mark('now');
    const bad = path.join(dir, 'bad.sqlite');
    writeFileSync(bad, 'no database at all, but long enough to be taken for one if nobody looks');
    expect(() => prepareRestore(dir, bad)).toThrow(DataFileError);
    expect(() => prepareRestore(dir, path.join(dir, 'none.sqlite'))).toThrow(/There is no file/);
    expect(await marked()).toBe('now');
  });
  it('of several backups the newest good one is offered', async () => {
    await mark('then');
    const good = await makeBackup(dir, 'daily', NOW);
    writeFileSync(path.join(backupFolder(dir), backupName('daily', NOW + DAY_MS)), 'torn');
    expect(newestGood(dir)).toBe(path.join(backupFolder(dir), good.name));
  });
});

describe('a data file that cannot be trusted', () => {
  let dir: string;
  const file = () => path.join(dir, DATA_FILE);
  beforeEach(async () => {
    dir = mkdtempSync(path.join(tmpdir(), 'big-ladle-'));
    await (await openDb(dir)).destroy();
  });
  afterEach(() => rmSync(dir, { recursive: true }));

  it('an empty one is no new kitchen', async () => {
    writeFileSync(file(), '');
    await expect(openDb(dir)).rejects.toThrow(/is empty: it once held a kitchen.*No good backup was found/s);
    expect(readFileSync(file())).toHaveLength(0);
  });
  it('a start that was cut off before the first file was whole begins again', async () => {
    rmSync(file());
    writeFileSync(`${file()}.new`, 'half a file');
    const db = await openDb(dir);
    expect(await db('event')).toEqual([]);
    await db.destroy();
    expect(existsSync(`${file()}.new`)).toBe(false);
  });
  it('a damaged one says what cannot be trusted and which backup is good', async () => {
    const db = await openDb(dir);
    for (let i = 0; i < 400; i++)
      await db('stock').insert({ item_id: `thing-${i}-${'x'.repeat(60)}`, in_house_g: i });
    await db.destroy();
    const good = await makeBackup(dir, 'daily', NOW);
    const raw = new Database(file());
    const { rootpage } = raw.prepare("select rootpage from sqlite_master where name = 'stock'").get() as {
      rootpage: number;
    };
    const pageSize = raw.pragma('page_size', { simple: true }) as number;
    raw.pragma('wal_checkpoint(TRUNCATE)');
    raw.close();
    const bytes = readFileSync(file());
    bytes.fill(0xff, (rootpage - 1) * pageSize, rootpage * pageSize);
    writeFileSync(file(), bytes);
    await expect(openDb(dir)).rejects.toThrow(
      new RegExp(`is damaged; what cannot be trusted: what is in the house.*${good.name}`, 's'),
    );
    expect(readFileSync(file()).equals(bytes)).toBe(true);
  });
  it('a folder chosen for backups is found although the data file cannot be read', async () => {
    const other = path.join(dir, 'elsewhere');
    mkdirSync(other);
    chooseFolder(dir, other);
    const good = await makeBackup(dir, 'daily', NOW);
    writeFileSync(file(), '');
    await expect(openDb(dir)).rejects.toThrow(path.join(other, good.name));
  });
});

describe('a kitchen that can only be read', () => {
  it('has all that was stored, also what still lies in the log, and nothing half done', async () => {
    const k = await new TestServer().open();
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    for (let i = 0; i < 30; i++) await k.api('POST', '/batches', { id: `b${i}`, plan: CALYX_PLAN });
    // As it lies on the disk while the server runs: nothing was folded into the file by hand.
    expect(readFileSync(path.join(k.dir, `${DATA_FILE}-wal`)).length).toBeGreaterThan(10_000);
    const read = await readInMemory(k.dir);
    expect(await read('batch').count({ n: '*' })).toEqual([{ n: 30 }]);
    expect((await read.raw('PRAGMA integrity_check')) as object[]).toEqual([{ integrity_check: 'ok' }]);
    await read.destroy();
    const main = readFileSync(path.join(k.dir, DATA_FILE));
    const wal = readFileSync(path.join(k.dir, `${DATA_FILE}-wal`));
    // A log that was cut off anywhere gives the last state that was whole.
    fc.assert(
      fc.property(fc.integer({ min: 0, max: wal.length }), (length) => {
        const db = new Database(withLog(main, wal.subarray(0, length)));
        const tables = db.prepare("select count(*) as n from sqlite_master where name = 'batch'").get() as {
          n: number;
        };
        if (tables.n > 0) {
          const { n } = db.prepare('select count(*) as n from batch').get() as { n: number };
          expect(n).toBeLessThanOrEqual(30);
        }
        expect(db.pragma('quick_check', { simple: true })).toBe('ok');
        db.close();
      }),
      { seed: 18, numRuns: 25 },
    );
    await k.dispose();
  });
  it('what says that a disk takes nothing is told from any other fault', () => {
    for (const code of [
      'SQLITE_FULL',
      'SQLITE_IOERR_SHMSIZE',
      'SQLITE_READONLY_DIRECTORY',
      'ENOSPC',
      'EROFS',
    ])
      expect(takesNothing(Object.assign(new Error(), { code }))).toBe(true);
    for (const error of [new Error('x'), null, Object.assign(new Error(), { code: 'SQLITE_CORRUPT' })])
      expect(takesNothing(error)).toBe(false);
  });
});

import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { backupFolder, listBackups } from './backup/backups.ts';
import { backupName } from './backup/names.ts';
import { DataFileError } from './db/dataFileError.ts';
import type { Db } from './db/db.ts';
import { MIGRATIONS } from './db/migrations.ts';
import { openDb } from './opening/open.ts';
import { CALYX_PLAN, eventWriter, NOW, ONE_POT, TestServer } from './testServer.ts';

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
});
afterEach(() => k.dispose());

describe('the data file', () => {
  it('keeps everything across a restart', async () => {
    await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
    await k.api('POST', '/batches', { id: 'b1', plan: CALYX_PLAN });
    const say = eventWriter('ev');
    const begun = say({ kind: 'batch', id: 'b1' }, 'stepStarted', { stepId: 'pick' }, NOW);
    await k.api('POST', '/batches/b1/start', { version: 1, events: [begun] });
    await k.stop();
    await k.open();
    expect((await k.api('GET', '/batches/b1')).body.events).toEqual([begun]);
  });
  it('is written safely: WAL, foreign keys, full sync', async () => {
    expect(await k.db.raw('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    expect(await k.db.raw('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    expect(await k.db.raw('PRAGMA synchronous')).toEqual([{ synchronous: 2 }]);
  });
  it('a newer schema is refused with a clear message and left alone', async () => {
    const other = mkdtempSync(path.join(tmpdir(), 'big-ladle-'));
    const newer = await openDb(other);
    await newer('knex_migrations').insert({
      name: '999-from-tomorrow',
      batch: 2,
      migration_time: new Date(NOW),
    });
    await newer.destroy();
    await expect(openDb(other)).rejects.toThrow(/newer Big Ladle.*999-from-tomorrow/);
    rmSync(other, { recursive: true });
  });
  it('an older file is backed up before it is brought up to date', async () => {
    const other = mkdtempSync(path.join(tmpdir(), 'big-ladle-'));
    const older = await openDb(other);
    await older('setting').insert({ key: 'kept', value: '1' });
    await older.destroy();
    const next = {
      name: '900-next',
      up: async (knex: Db) => void (await knex.schema.createTable('shed', (t) => t.increments())),
    };
    const newer = await openDb(other, [...MIGRATIONS, next]);
    expect(await newer.schema.hasTable('shed')).toBe(true);
    expect(await newer('setting').where({ key: 'kept' })).toHaveLength(1);
    const [backup] = listBackups(backupFolder(other));
    expect(backup?.kind).toBe('before-upgrade');
    const copy = new Database(path.join(backupFolder(other), backup!.name), { readonly: true });
    expect(copy.prepare("select value from setting where key = 'kept'").get()).toEqual({ value: '1' });
    expect(copy.prepare("select 1 from sqlite_master where name = 'shed'").get()).toBeUndefined();
    copy.close();
    await newer.destroy();
    rmSync(other, { recursive: true });
  });
  it('an upgrade that was cut off starts again, and the backups of before stay', async () => {
    const other = mkdtempSync(path.join(tmpdir(), 'big-ladle-'));
    const older = await openDb(other);
    await older('setting').insert({ key: 'kept', value: '1' });
    await older.destroy();
    const next = (works: boolean) => ({
      name: '900-next',
      up: async (knex: Db) => {
        if (!works) throw new Error('cut off');
        await knex.schema.createTable('shed', (t) => t.increments());
      },
    });
    // Cut off in the middle of a backup, and once more in the middle of the change.
    mkdirSync(backupFolder(other));
    writeFileSync(
      path.join(backupFolder(other), `${backupName('before-upgrade', NOW)}.unfinished`),
      'half a copy',
    );
    await expect(openDb(other, [...MIGRATIONS, next(false)], NOW)).rejects.toThrow('cut off');
    const newer = await openDb(other, [...MIGRATIONS, next(true)], NOW + 60_000);
    expect(await newer.schema.hasTable('shed')).toBe(true);
    expect(await newer('setting').where({ key: 'kept' })).toHaveLength(1);
    await newer.destroy();
    expect(listBackups(backupFolder(other)).map((backup) => backup.atMs)).toEqual([NOW + 60_000, NOW]);
    expect(readdirSync(backupFolder(other)).filter((f) => f.endsWith('.unfinished'))).toEqual([]);
    rmSync(other, { recursive: true });
  });
  it('a file that is no database is named and left as it is', async () => {
    const other = mkdtempSync(path.join(tmpdir(), 'big-ladle-'));
    writeFileSync(
      path.join(other, 'big-ladle.sqlite'),
      'this is a shopping list, not a database, and long enough to be read as one',
    );
    await expect(openDb(other)).rejects.toThrow(DataFileError);
    rmSync(other, { recursive: true });
  });
});

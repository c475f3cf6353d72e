import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { backupFolder } from '../backup/backups.ts';
import { sweepPhotos } from '../services/photos.ts';
import { CALYX_PLAN, NOW, ONE_POT, TestServer } from '../testServer.ts';
import { cleanJpeg } from './jpeg.ts';
import { PhotoStore } from './store.ts';
import { tinyJpeg } from './tinyJpeg.fixtures.ts';

const SECRET = 'taken at 12.34 N, 56.78 E';

describe('a picture without anything but the picture', () => {
  it('loses what a camera wrote into it and hung behind it, and nothing else', () => {
    const clean = cleanJpeg(tinyJpeg(SECRET))!;
    expect(clean).toEqual({ bytes: tinyJpeg(), widthPx: 3, heightPx: 2 });
    expect(clean.bytes.includes('12.34')).toBe(false);
    expect(cleanJpeg(clean.bytes)).toEqual(clean);
  });
  it('is refused where it is none, is cut short or is too large', () => {
    const whole = tinyJpeg();
    for (let bytes = 0; bytes < whole.length; bytes++) expect(cleanJpeg(whole.subarray(0, bytes))).toBeNull();
    expect(cleanJpeg(Buffer.from('<svg onload="alert(1)"/>'))).toBeNull();
    const wide = tinyJpeg();
    wide.writeUInt16BE(5000, wide.indexOf(Buffer.from([0, 2, 0, 3])));
    expect(cleanJpeg(wide)).toBeNull();
  });
});

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
  await k.api('PUT', '/kitchen', { version: 0, kitchen: ONE_POT });
  for (const id of ['one', 'two']) await k.api('POST', '/batches', { id, plan: CALYX_PLAN });
});
afterEach(() => k.dispose());

const add = async (id: string, ofId: string, bytes: Uint8Array, what = 'spoon', takenMs = 1000) =>
  fetch(`${k.base}/api/photos?id=${id}&of=batch&ofId=${ofId}&what=${what}&takenMs=${takenMs}`, {
    method: 'POST',
    headers: { 'Content-Type': 'image/jpeg', Origin: k.base },
    body: new Uint8Array(bytes),
  });
const photosOf = async (ofId: string) => (await k.api('GET', `/photos?of=batch&ofId=${ofId}`)).body;
const files = (folder: string): string[] =>
  existsSync(path.join(folder, 'photos')) ? readdirSync(path.join(folder, 'photos')) : [];

describe('photos', () => {
  it('are kept without what a camera wrote into them, shown, and taken away again', async () => {
    expect((await add('p1', 'one', tinyJpeg(SECRET))).status).toBe(201);
    // Sent again, it is the same.
    expect((await add('p1', 'one', tinyJpeg(SECRET))).status).toBe(200);
    expect((await photosOf('one')).photos).toEqual([
      { id: 'p1', of: 'batch', ofId: 'one', what: 'spoon', takenMs: 1000, widthPx: 3, heightPx: 2 },
    ]);
    const file = await fetch(`${k.base}/api/photos/p1/file`);
    expect(file.headers.get('content-type')).toBe('image/jpeg');
    expect(Buffer.from(await file.arrayBuffer())).toEqual(tinyJpeg());
    expect(files(k.dir)).toHaveLength(1);
    expect((await k.api('DELETE', '/photos/p1')).status).toBe(204);
    expect((await k.api('GET', '/photos/p1/file')).status).toBe(404);
    expect(files(k.dir)).toEqual([]);
  });
  it('hold last time’s spoon beside this one', async () => {
    await add('old', 'one', tinyJpeg('', 1), 'spoon', 1000);
    await add('newer', 'one', tinyJpeg('', 2), 'spoon', 2000);
    await add('other', 'one', tinyJpeg('', 3), 'other', 3000);
    expect((await photosOf('two')).lastSpoon).toMatchObject({ id: 'newer' });
    expect((await photosOf('one')).lastSpoon).toBeNull();
  });
  it('are refused where they are none, too large, or of nothing', async () => {
    expect(await (await add('p1', 'one', Buffer.from('GIF89a'))).json()).toMatchObject({ title: 'badPhoto' });
    expect((await add('p1', 'one', Buffer.alloc(2 * 1024 * 1024 + 1))).status).toBe(413);
    expect((await add('p1', 'nowhere', tinyJpeg())).status).toBe(404);
    expect((await add('../../x', 'one', tinyJpeg())).status).toBe(422);
    expect(files(k.dir)).toEqual([]);
  });
  it('go into a backup once, and come back with it', async () => {
    await add('p1', 'one', tinyJpeg('', 1));
    const folder = backupFolder(k.dir);
    const first = (await k.api('POST', '/backups')).body as { name: string };
    k.clock.set(NOW + 5000, true);
    await k.api('POST', '/backups');
    expect(files(folder)).toHaveLength(1);
    await k.api('DELETE', '/photos/p1');
    expect(files(k.dir)).toEqual([]);
    await k.api('POST', '/backups/restore', { name: first.name });
    await k.stop();
    await k.open();
    expect(Buffer.from(await (await fetch(`${k.base}/api/photos/p1/file`)).arrayBuffer())).toEqual(
      tinyJpeg('', 1),
    );
  });
  it('go out in an archive where they are asked for, and come in again', async () => {
    await add('p1', 'one', tinyJpeg(SECRET));
    const text = async (query: string) => (await fetch(`${k.base}/api/archive${query}`)).text();
    expect(await text('')).not.toContain('"p1"');
    const archive = await text('?photos=1');
    expect(archive).toContain('"p1"');
    expect(Buffer.from(archive).includes(Buffer.from(SECRET).toString('base64').slice(0, 12))).toBe(false);
    const other = await new TestServer().open();
    try {
      const state = await other.takeIn(archive, 'merge');
      expect(state.report?.holds.photos).toBe(1);
      expect(Buffer.from(await (await fetch(`${other.base}/api/photos/p1/file`)).arrayBuffer())).toEqual(
        tinyJpeg(),
      );
    } finally {
      await other.dispose();
    }
  });
  it('a file that nothing names is gone after a start', async () => {
    await add('p1', 'one', tinyJpeg('', 1));
    const store = new PhotoStore(k.dir);
    store.put(tinyJpeg('', 9));
    writeFileSync(path.join(k.dir, 'photos', 'cut-off.unfinished'), 'x');
    expect(files(k.dir)).toHaveLength(3);
    await sweepPhotos(k.db, store);
    expect(files(k.dir)).toHaveLength(1);
    rmSync(path.join(k.dir, 'photos'), { recursive: true });
    mkdirSync(path.join(k.dir, 'photos'));
    expect((await k.api('GET', '/photos/p1/file')).status).toBe(404);
  });
});

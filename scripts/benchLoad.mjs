/**
 * `npm run bench:load`: what a kitchen with five years behind it takes. Everything is measured against something else in
 * the same run: an empty request, a raw transaction, a request that stores one row.
 */
import { readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { buildAll, ensureInstalled, freePort, ROOT, say, startServer } from './lib.mjs';
import { Client } from './load/kitchen.ts';
import { at, inTurns, ms, timed } from './load/measure.ts';
import { Windows } from './load/windows.ts';

const WINDOWS = 20;
const EVENTS_PER_S = 50;
const LOAD_S = Number(process.env.LADLE_LOAD_SECONDS ?? 20);

await ensureInstalled();
await buildAll();
const folder = (name) => {
  const dir = path.join(ROOT, '.cache', name);
  rmSync(dir, { recursive: true, force: true });
  return dir;
};
const dataDir = folder('load-data');
const server = await startServer({ dataDir, port: await freePort(), demo: true, history: true });
const cook = new Client(server.url, 'cook');
// Twenty batches on the stove: no log grows beyond what a long day leaves.
const batchIds = await cook.begin(20);
let turn = 0;
const post = (count, what = 'entry') => {
  const batchId = batchIds[turn++ % batchIds.length];
  return cook.ask('POST', '/events', { events: Array.from({ length: count }, () => cook[what](batchId)) });
};
const memoryMb = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.child.pid}/status`, 'utf8'))?.[1]) / 1024;

// One entry alone, against a request that does nothing.
for (let i = 0; i < 20; i++) await post(1);
for (const what of ['note', 'reading']) {
  const [oneMs, emptyMs] = await inTurns(
    80,
    () => post(1, what),
    () => cook.ask('GET', '/time'),
  );
  say(
    `one ${what.padEnd(16)} ${ms(oneMs)} against ${ms(emptyMs)} for an empty request: ${(oneMs / emptyMs).toFixed(1)} × (aim 3)`,
  );
}

// Ten together, against ten transactions with a row each, each on the disk.
const raw = new Database(path.join(folder('load-raw'), '..', 'load-raw.sqlite'));
raw.pragma('journal_mode = WAL');
raw.pragma('synchronous = FULL');
raw.exec(
  'drop table if exists event; create table event (seq integer primary key autoincrement, id text unique, body text)',
);
const insert = raw.prepare('insert into event (id, body) values (?, ?)');
for (const what of ['note', 'reading']) {
  const [tenMs, rawMs] = await inTurns(
    30,
    () => post(10, what),
    async (i) => {
      for (let j = 0; j < 10; j++) insert.run(`${what}-${i}-${j}`, JSON.stringify(cook[what]('raw')));
    },
  );
  say(
    `ten ${`${what}s together`.padEnd(16)} ${ms(tenMs)} against ${ms(rawMs)} for ten raw transactions: ${(rawMs / tenMs).toFixed(2)} × as fast (aim 0.5)`,
  );
}
raw.close();

// Twenty windows that fetch as the page does, fifty entries a second; beside them requests that store one row.
const windows = new Windows(server.url);
await windows.open(WINDOWS);
const rowClient = new Client(server.url, 'row');
const took = { post: [], row: [] };
const memory = [];
{
  const began = performance.now();
  const pending = [];
  for (let i = 0; performance.now() - began < LOAD_S * 1000; i++) {
    const due = began + (i * 1000) / EVENTS_PER_S;
    if (due > performance.now()) await new Promise((resolve) => setTimeout(resolve, due - performance.now()));
    pending.push(timed(() => post(1)).then((t) => took.post.push(t)));
    if (i % 5 === 0)
      pending.push(
        timed(() => rowClient.ask('PUT', '/stock/salt', { inHouseG: i, packG: null, price: null })).then(
          (t) => took.row.push(t),
        ),
      );
    if (i % EVENTS_PER_S === 0) memory.push(memoryMb());
  }
  await Promise.all(pending);
}
windows.close();
const [postP95, rowP95] = [at(took.post, 0.95), at(took.row, 0.95)];
say(
  `under load           ${WINDOWS} windows, ${EVENTS_PER_S} entries a second: an entry ${ms(at(took.post, 0.5))} in the middle, ${ms(postP95)} at the 95th percentile; one row stored ${ms(rowP95)} there: ${(postP95 / rowP95).toFixed(1)} × (aim 5); ${windows.heard} messages heard, ${windows.fetched} fetched`,
);
const half = Math.floor(memory.length / 2);
say(
  `memory               ${memory[0]?.toFixed(0)} MB at first, ${at(memory.slice(0, half), 0.5).toFixed(0)} MB in the first half, ${at(memory.slice(half), 0.5).toFixed(0)} MB in the second`,
);

// Five years taken into another kitchen, and a window beside it that goes on asking.
let archive = '';
const outMs = await timed(async () => {
  archive = await (await fetch(`${server.url}/api/archive`)).text();
});
server.child.kill('SIGTERM');
const other = await startServer({ dataDir: folder('load-other'), port: await freePort(), demo: true });
const neighbour = new Client(other.url, 'neighbour');
for (const mode of ['merge', 'replace']) {
  const answers = [];
  let over = false;
  const asking = (async () => {
    for (let i = 0; !over; i++) {
      const path = ['/batches', '/batches/demo-steeping', '/items', '/time'][i % 4];
      // A kitchen that begins anew is away for a moment.
      answers.push(await timed(() => neighbour.ask('GET', path).catch(() => undefined)));
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  })();
  const state = async () =>
    (await neighbour.ask('GET', '/archive/import').catch(() => ({ state: null }))).state;
  const until = async (stage) => {
    for (let now = await state(); now && now.stage !== stage; now = await state()) {
      if (now.stage === 'failed') throw new Error(JSON.stringify(now.problem));
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const importMs = await timed(async () => {
    const sent = await fetch(`${other.url}/api/archive`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-ndjson' },
      body: archive,
    });
    if (sent.status !== 202) throw new Error(await sent.text());
    await until('checked');
    await neighbour.ask('POST', '/archive/import', { mode });
    await until('done');
  });
  over = true;
  await asking;
  say(
    `five years, ${mode.padEnd(8)} ${(archive.length / 1e6).toFixed(1)} MB out in ${(outMs / 1000).toFixed(1)} s, in within ${(importMs / 1000).toFixed(1)} s; another window was answered within ${ms(at(answers, 0.5))} in the middle, ${ms(at(answers, 0.95))} at the 95th percentile (aim 200), ${ms(at(answers, 1))} at most`,
  );
}
other.child.kill('SIGTERM');
process.exit(0);

/** `npm run demo`: a kitchen in the middle of things, in a data folder of its own that is filled anew at each start. */
import { rmSync } from 'node:fs';
import path from 'node:path';
import { buildAll, ensureInstalled, ROOT, run, say } from './lib.mjs';

await ensureInstalled();
say('Building …');
await buildAll();
const dataDir = path.resolve(ROOT, process.env.LADLE_DATA ?? '.cache/demo-data');
const file = path.join(dataDir, 'big-ladle.sqlite');
for (const part of ['', '-wal', '-shm']) rmSync(`${file}${part}`, { force: true });
say('Filling the demo kitchen …');
process.exit(
  await run(process.execPath, ['server/dist/main.js', '--demo'], {
    env: { ...process.env, LADLE_DATA: dataDir },
  }),
);

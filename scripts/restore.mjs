/** `npm run restore -- FILE`: puts a backup in the place of the kitchen's data; what was there stays beside it. */
import { buildAll, ensureInstalled, run } from './lib.mjs';

await ensureInstalled();
await buildAll();
process.exit(await run(process.execPath, ['server/dist/main.js', '--restore', ...process.argv.slice(2)]));

/** `npm run rebuild`: throws the projections away and folds every log again. */
import { buildAll, ensureInstalled, run } from './lib.mjs';

await ensureInstalled();
await buildAll();
process.exit(await run(process.execPath, ['server/dist/main.js', '--rebuild']));

/** `npm start`: the cook's own kitchen; its data stays in ./data, or where LADLE_DATA says. */
import { buildAll, ensureInstalled, run, say } from './lib.mjs';

await ensureInstalled();
say('Building …');
await buildAll();
process.exit(await run(process.execPath, ['server/dist/main.js']));

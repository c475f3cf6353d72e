/** `npm run dev`: the server from source, restarted on change, and the page with hot reload. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { ensureInstalled, ROOT, say } from './lib.mjs';

await ensureInstalled();
const bin = (name) => path.join(ROOT, 'node_modules', '.bin', name);
const env = { ...process.env, LADLE_DEV_ORIGIN: 'http://127.0.0.1:5173' };
const children = [
  spawn(bin('tsx'), ['watch', 'server/src/main.ts'], { cwd: ROOT, stdio: 'inherit', env }),
  spawn(bin('vite'), [], { cwd: path.join(ROOT, 'web'), stdio: 'inherit', env }),
];
say('The page with hot reload will be at http://127.0.0.1:5173');
const stop = () => {
  for (const child of children) child.kill('SIGTERM');
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
for (const child of children) child.on('close', stop);

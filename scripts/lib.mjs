/** What every script needs: packages installed, Chromium found, the application built, a server started. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const bin = (name) => path.join(ROOT, 'node_modules', '.bin', name);

export function say(text) {
  process.stdout.write(`${text}\n`);
}

export function fail(text) {
  process.stderr.write(`${text}\n`);
  process.exit(1);
}

/** Runs a command in the project, its output passed through; resolves with its exit code. */
export function run(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
    child.on('error', () => resolve(127));
    child.on('close', (code) => resolve(code ?? 1));
  });
}

/** Installs what is missing; when the lock file has not changed since, it does nothing. */
export async function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Big Ladle needs Node 20.19 or newer; this is ${process.version}.`);
  const hash = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  const stamp = path.join(ROOT, 'node_modules', '.big-ladle-installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
  say('Installing packages (the database driver is compiled once: a few minutes) …');
  const began = Date.now();
  const ticker = setInterval(
    () => say(`  still installing, ${Math.round((Date.now() - began) / 1000)} s`),
    20_000,
  );
  // Exactly what the lock file says.
  const code = await run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error']);
  clearInterval(ticker);
  if (code !== 0) fail('The packages could not be installed; what npm said stands above.');
  writeFileSync(stamp, hash);
  say(`Packages are in, ${Math.round((Date.now() - began) / 1000)} s.`);
}

export async function buildAll() {
  for (const folder of ['web', 'server']) {
    const code = await run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: path.join(ROOT, folder) });
    if (code !== 0) fail(`The ${folder} folder could not be built; what the bundler said stands above.`);
  }
}

/** Chromium without windows: it draws the same, and asks a fifth less of the machine. */
const WITHOUT_WINDOWS = '/usr/bin/chromium-headless-shell';
const WITH_WINDOWS = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** Debian's Chromium, installed where that is possible. */
export async function ensureChromium() {
  const there = (files) => files.find((file) => file && existsSync(file));
  const first = there([process.env.LADLE_CHROMIUM, WITHOUT_WINDOWS]);
  if (first) return first;
  const apt = spawnSync('sh', ['-c', 'command -v apt-get'], { encoding: 'utf8' }).stdout.trim();
  if (apt && process.getuid?.() === 0) {
    say('Installing Chromium for the browser tests …');
    const install = (name) => run('apt-get', ['install', '-y', '-qq', name]);
    if ((await install('chromium-headless-shell')) !== 0 && !there(WITH_WINDOWS)) {
      await run('apt-get', ['update', '-qq']);
      if ((await install('chromium-headless-shell')) !== 0) await install('chromium');
    }
  }
  return (
    there([WITHOUT_WINDOWS, ...WITH_WINDOWS]) ??
    fail(
      'The browser tests need Chromium: install it (on Debian: apt-get install chromium-headless-shell) or name it with LADLE_CHROMIUM=/path/to/chromium.',
    )
  );
}

export const CHROMIUM_FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/** Starts the built server; resolves with its address once it answers. */
export function startServer({ dataDir, port, demo = false, test = false, history = false }) {
  mkdirSync(dataDir, { recursive: true });
  return new Promise((resolve, reject) => {
    const child = spawn(
      process.execPath,
      [
        path.join(ROOT, 'server/dist/main.js'),
        ...(demo ? ['--demo'] : []),
        ...(history ? ['--history'] : []),
      ],
      {
        cwd: ROOT,
        env: {
          ...process.env,
          LADLE_PORT: String(port),
          LADLE_DATA: dataDir,
          ...(test ? { LADLE_TEST: '1' } : {}),
        },
        stdio: ['ignore', 'pipe', 'pipe'],
      },
    );
    let said = '';
    child.stderr.on('data', (data) => {
      said += data;
    });
    child.stdout.on('data', (data) => {
      const match = /(http:\/\/[^\s]+)/.exec(String(data));
      if (match) resolve({ child, url: match[1] });
    });
    child.on('close', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}

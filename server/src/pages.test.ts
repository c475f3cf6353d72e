import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { TestServer } from './testServer.ts';

let k: TestServer;
let webDir: string;
beforeEach(async () => {
  webDir = mkdtempSync(path.join(tmpdir(), 'big-ladle-web-'));
  mkdirSync(path.join(webDir, 'assets'));
  writeFileSync(path.join(webDir, 'index.html'), '<meta name="csp-nonce" content="__NONCE__" />');
  writeFileSync(path.join(webDir, 'assets/first-1.js'), 'let plain;');
  writeFileSync(path.join(webDir, 'assets/first-1.js.gz'), gzipSync('let packed;'));
  k = new TestServer();
  k.webDir = webDir;
  await k.open();
});
afterEach(async () => {
  await k.dispose();
  rmSync(webDir, { recursive: true });
});

describe('pages and what they are made of', () => {
  it('a page carries a policy of its own only, with a nonce that is new each time', async () => {
    const read = async () => {
      const response = await fetch(`${k.base}/shelf`);
      const policy = response.headers.get('content-security-policy') ?? '';
      const nonce = /content="([^"]+)"/.exec(await response.text())![1]!;
      expect(policy).toContain("default-src 'self'");
      expect(policy).toContain(`'nonce-${nonce}'`);
      expect(policy).not.toContain('unsafe');
      expect(response.headers.get('permissions-policy')).toContain('camera=(self), microphone=()');
      expect(response.headers.get('x-powered-by')).toBeNull();
      return nonce;
    };
    expect(await read()).not.toBe(await read());
  });
  it('an answer that is no page may load nothing', async () => {
    for (const url of ['/api/health', '/api/no-such-thing']) {
      const { headers } = await fetch(`${k.base}${url}`);
      expect(headers.get('content-security-policy')).toContain("default-src 'none'");
      expect(headers.get('x-content-type-options')).toBe('nosniff');
      expect(headers.get('x-powered-by')).toBeNull();
    }
  });
  it('a script that was packed when it was built is sent so, to those who can open it', async () => {
    const packed = await fetch(`${k.base}/assets/first-1.js`);
    expect(packed.headers.get('content-encoding')).toBe('gzip');
    expect(packed.headers.get('content-type')).toContain('javascript');
    expect(packed.headers.get('cache-control')).toContain('immutable');
    expect(packed.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(await packed.text()).toBe('let packed;');
    const plain = await fetch(`${k.base}/assets/first-1.js`, { headers: { 'Accept-Encoding': 'identity' } });
    expect(plain.headers.get('content-encoding')).toBeNull();
    expect(await plain.text()).toBe('let plain;');
    expect((await fetch(`${k.base}/assets/first-2.js`)).status).toBe(404);
  });
});

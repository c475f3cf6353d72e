import { request } from 'node:http';
import { afterEach, describe, expect, it } from 'vitest';
import { AdjustableClock } from './clock.ts';
import { configFrom } from './config.ts';
import { PairingCode } from './services/devices.ts';
import { NOW, TestServer } from './testServer.ts';

let server: TestServer;
afterEach(() => server.dispose());
const opened = async (open = true, publicUrl: string | null = null) => {
  server = await new TestServer({ open, publicUrl, tls: false }).open();
  return server;
};

interface Answer {
  status: number;
  // biome-ignore lint/suspicious/noExplicitAny: answers of many shapes are looked into here
  body: any;
  cookie: string | null;
}
/** Asks as another device does: at an address that is not the first screen's own. */
function fromOutside(
  method: string,
  path: string,
  options: { body?: object; cookie?: string | null; host?: string; origin?: string; from?: string } = {},
): Promise<Answer> {
  const { port } = new URL(server.base);
  return new Promise((resolve, reject) => {
    const sent = options.body ? JSON.stringify(options.body) : undefined;
    const req = request(
      {
        host: options.from ?? '127.0.0.2',
        port,
        path: `/api${path}`,
        method,
        headers: {
          Host: options.host ?? `127.0.0.2:${port}`,
          ...(sent ? { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(sent) } : {}),
          ...(options.cookie ? { Cookie: options.cookie } : {}),
          ...(options.origin ? { Origin: options.origin } : {}),
        },
      },
      (res) => {
        let text = '';
        res.on('data', (data) => {
          text += data;
        });
        res.on('end', () =>
          resolve({
            status: res.statusCode ?? 0,
            body: text ? JSON.parse(text) : null,
            cookie: res.headers['set-cookie']?.[0] ?? null,
          }),
        );
      },
    );
    req.on('error', reject);
    req.end(sent);
  });
}
const codeShown = async (): Promise<string> => (await server.api('GET', '/access')).body.pairing.code;
const pair = (code: string, name = 'Phone') => fromOutside('POST', '/pairing', { body: { code, name } });
const wrong = (code: string) => (code === '000000' ? '000001' : '000000');

describe('open to the home network', () => {
  it('shows its code and addresses on the first screen only', async () => {
    await opened();
    const { body } = await server.api('GET', '/access');
    expect(body).toMatchObject({ open: true, addresses: ['http://192.168.7.20:4817'], devices: [] });
    expect(body.pairing.code).toMatch(/^\d{6}$/);
    expect((await fromOutside('GET', '/access')).status).toBe(401);
    const { cookie } = await pair(body.pairing.code);
    expect((await fromOutside('GET', '/access', { cookie: cookie!.split(';')[0]! })).status).toBe(403);
  });
  it('lets nothing through without a session, and everything with one', async () => {
    await opened();
    for (const path of ['/kitchen', '/batches', '/stream', '/archive', '/time'])
      expect((await fromOutside('GET', path)).status, path).toBe(401);
    expect((await fromOutside('POST', '/events', { body: { events: [] } })).status).toBe(401);
    const { status, cookie } = await pair(await codeShown());
    expect(status).toBe(201);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    const session = cookie!.split(';')[0]!;
    expect((await fromOutside('GET', '/kitchen', { cookie: session })).status).toBe(200);
    expect((await fromOutside('GET', '/kitchen', { cookie: `${session}x` })).status).toBe(401);
    // The data file holds no session that could be used.
    const [row] = await server.db('device').select('*');
    expect(JSON.stringify(row)).not.toContain(session.split('=')[1]);
  });
  it('a code works once, and not after ten minutes', async () => {
    await opened();
    const code = await codeShown();
    expect((await pair(code)).status).toBe(201);
    expect((await pair(code)).status).toBe(403);
    const next = await codeShown();
    expect(next).not.toBe(code);
    server.clock.set(NOW + 11 * 60_000, true);
    expect((await pair(next)).status).toBe(403);
  });
  it('guessing is slowed down, and wears the code out', async () => {
    await opened();
    const code = await codeShown();
    for (let i = 0; i < 5; i++) expect((await pair(wrong(code))).status).toBe(403);
    const slowed = await pair(code);
    expect(slowed.status).toBe(429);
    expect(slowed.body.title).toBe('tooManyTries');
  });
  it('a device that is shut out stays out', async () => {
    await opened();
    const session = (await pair(await codeShown(), "Nell's phone")).cookie!.split(';')[0]!;
    const [device] = (await server.api('GET', '/access')).body.devices;
    expect(device.name).toBe("Nell's phone");
    expect((await server.api('DELETE', `/access/devices/${device.id}`)).status).toBe(204);
    expect((await fromOutside('GET', '/kitchen', { cookie: session })).status).toBe(401);
    expect((await server.api('DELETE', `/access/devices/${device.id}`)).status).toBe(404);
  });
  it('a device that is shut out hears no more of its open stream', async () => {
    await opened();
    const session = (await pair(await codeShown())).cookie!.split(';')[0]!;
    const { port } = new URL(server.base);
    const ended = new Promise<void>((resolve, reject) => {
      const asked = request(
        {
          host: '127.0.0.2',
          port,
          path: '/api/stream',
          headers: { cookie: session, host: `127.0.0.2:${port}` },
        },
        (res) => {
          res.on('close', () => resolve());
          res.once('data', () => void shutOutAll());
        },
      );
      asked.on('error', reject);
      asked.end();
    });
    const shutOutAll = async () => {
      const [device] = (await server.api('GET', '/access')).body.devices;
      await server.api('DELETE', `/access/devices/${device.id}`);
    };
    await ended;
  });
  it('a code that nobody looks at lets nobody in', async () => {
    await opened();
    const code = await codeShown();
    server.clock.set(NOW + 76_000, true);
    expect((await pair(code)).status).toBe(403);
    await codeShown();
    expect((await pair(code)).status).toBe(201);
  });
  it('wrong codes are counted over everybody, said on the screen, and then nobody is let in for a while', async () => {
    const clock = new AdjustableClock(() => NOW);
    clock.set(NOW, true);
    const pairing = new PairingCode(clock);
    const { code } = pairing.show();
    for (let i = 0; i < 9; i++) expect(pairing.take(wrong(code))).toBe(false);
    expect(pairing.show()).toMatchObject({ wrong: 9, pausedUntilMs: null });
    expect(pairing.take(wrong(code))).toBe(false);
    const paused = pairing.show();
    expect(paused.pausedUntilMs).toBe(NOW + 5 * 60_000);
    expect(() => pairing.take(paused.code)).toThrow('tooManyTries');
    clock.set(NOW + 5 * 60_000, true);
    expect(pairing.take(pairing.show().code)).toBe(true);
    await opened(false);
  });
  it('a strange code or no name is refused with what is wrong', async () => {
    await opened();
    const letters = await pair('abcdef');
    expect(letters.status).toBe(422);
    expect(letters.body.fields[0].field).toBe('code');
    expect((await pair('123456', '  ')).body.fields[0].field).toBe('name');
  });
  it('answers to its own names only: an address it was called at, its public one', async () => {
    await opened(true, 'http://ladle.home:4817');
    expect((await fromOutside('GET', '/kitchen', { host: 'evil.example:80' })).status).toBe(421);
    expect((await fromOutside('GET', '/kitchen', { host: 'ladle.home:4817' })).status).toBe(401);
    expect((await fromOutside('GET', '/kitchen', { origin: 'http://evil.example' })).status).toBe(403);
    expect((await fromOutside('GET', '/kitchen', { origin: 'http://ladle.home:4817' })).status).toBe(401);
    expect((await server.api('GET', '/access')).body.addresses).toEqual(['http://ladle.home:4817']);
  });
});

describe('with another program of the same machine in between', () => {
  const through = (headers: Record<string, string>) => server.api('GET', '/access', undefined, headers);
  it.each([
    ['x-forwarded-for', '192.168.7.31'],
    ['x-forwarded-host', 'ladle.home'],
    ['x-forwarded-proto', 'https'],
    ['x-real-ip', '192.168.7.31'],
    ['forwarded', 'for=192.168.7.31'],
    ['via', '1.1 hall'],
  ])('a request that was passed on (%s) is not the first screen', async (header, value) => {
    await opened();
    expect((await through({})).status).toBe(200);
    const { status, body } = await through({ [header]: value });
    expect(status).toBe(401);
    expect(JSON.stringify(body)).not.toMatch(/\d{6}/);
  });
  it('a request for the public name is not the first screen, from whichever address it comes', async () => {
    await opened(true, 'http://ladle.home:4817');
    const { port } = new URL(server.base);
    const asked = await fromOutside('GET', '/access', { host: 'ladle.home:4817', from: '127.0.0.1' });
    expect(asked.status).toBe(401);
    const own = await fromOutside('GET', '/access', { host: `localhost:${port}`, from: '127.0.0.1' });
    expect(own.status).toBe(200);
  });
  it('behind a public https address without TLS of its own no screen is the first: the terminal has the code', async () => {
    await opened(true, 'https://ladle.home');
    expect((await through({})).status).toBe(401);
    const code = /(\d{6})$/.exec(server.told[0]!)![1]!;
    expect((await pair(code)).status).toBe(201);
    // Used up: the next one is told at once.
    expect(server.told).toHaveLength(2);
    expect(server.told[1]).not.toContain(code);
  });
});

describe('kept to its own machine', () => {
  it('shows no code, and needs none', async () => {
    await opened(false);
    expect((await server.api('GET', '/access')).body).toMatchObject({
      open: false,
      pairing: null,
      addresses: [],
    });
    expect((await server.api('GET', '/kitchen')).status).toBe(200);
  });
});

describe('settings of the surroundings', () => {
  const from = (env: Record<string, string>) => configFrom(env, '/kitchen');
  it('keep to this machine unless told otherwise', async () => {
    await opened(false);
    expect(from({})).toMatchObject({ host: '127.0.0.1', publicUrl: null, tls: null });
    expect(from({ LADLE_HOST: '0.0.0.0', LADLE_PUBLIC_URL: 'https://ladle.home/' })).toMatchObject({
      host: '0.0.0.0',
      publicUrl: 'https://ladle.home',
    });
    expect(from({ LADLE_TLS_CERT: 'c.pem', LADLE_TLS_KEY: 'k.pem' }).tls).toEqual({
      certFile: '/kitchen/c.pem',
      keyFile: '/kitchen/k.pem',
    });
  });
  it.each([
    [{ LADLE_HOST: 'my kitchen' }, /LADLE_HOST/],
    [{ LADLE_PUBLIC_URL: 'ladle.home' }, /LADLE_PUBLIC_URL/],
    [{ LADLE_PUBLIC_URL: 'http://ladle.home/stove' }, /without a path/],
    [{ LADLE_TLS_CERT: 'c.pem' }, /LADLE_TLS_KEY/],
    [{ LADLE_PORT: 'seven' }, /LADLE_PORT/],
  ] as [Record<string, string>, RegExp][])('%j is said to be wrong, and how', async (env, message) => {
    await opened(false);
    expect(() => from(env)).toThrow(message);
  });
});

describe('while nothing can be written', () => {
  it('nobody is let in or shut out, as it would be forgotten; what is there is read', async () => {
    server = new TestServer({ open: true, publicUrl: null, tls: false });
    server.readOnly = true;
    await server.open();
    expect((await server.api('GET', '/kitchen')).status).toBe(200);
    const { code } = (await server.api('GET', '/access')).body.pairing;
    const letIn = await fromOutside('POST', '/pairing', { body: { code, name: 'Tablet' } });
    expect(letIn).toMatchObject({ status: 507, body: { title: 'storage' } });
    expect((await server.api('DELETE', '/access/devices/any')).status).toBe(507);
  });
});

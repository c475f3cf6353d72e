import { isIP } from 'node:net';
import path from 'node:path';

/** What the server takes from its surroundings. */
export interface Config {
  port: number;
  host: string;
  /** The address was said where it was started; else the cook chooses it on the page. */
  hostGiven: boolean;
  /** The address under which the home network reaches it, for links. */
  publicUrl: string | null;
  /** Certificate and key of a safe connection, as file names. */
  tls: { certFile: string; keyFile: string } | null;
  dataDir: string;
  webDir: string | null;
  /** A second origin that may write, for the development server. */
  devOrigin: string | null;
  /** Lets tests set the clock; never outside them. */
  test: boolean;
  /** The moment at which the server's clock begins to run, for tests and pictures; null: the machine's own. */
  testNowMs: number | null;
}

/** @throws Error with a plain message when a setting makes no sense. */
export function configFrom(env: NodeJS.ProcessEnv, rootDir: string): Config {
  const port = Number(env.LADLE_PORT ?? 4817);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`LADLE_PORT is "${env.LADLE_PORT}": give a port number between 0 and 65535.`);
  }
  const host = env.LADLE_HOST?.trim() || '127.0.0.1';
  if (!isIP(host) && host !== 'localhost')
    throw new Error(
      `LADLE_HOST is "${host}": give an address of this machine, such as 0.0.0.0 for all of them.`,
    );
  const publicUrl = env.LADLE_PUBLIC_URL?.trim().replace(/\/$/, '') || null;
  if (publicUrl !== null && !/^https?:\/\/[^/]+$/.test(publicUrl))
    throw new Error(`LADLE_PUBLIC_URL is "${publicUrl}": give it as http://name:port, without a path.`);
  const { LADLE_TLS_CERT: cert, LADLE_TLS_KEY: key } = env;
  if (Boolean(cert) !== Boolean(key))
    throw new Error('A safe connection needs both LADLE_TLS_CERT and LADLE_TLS_KEY; one of them is missing.');
  return {
    port,
    host,
    hostGiven: Boolean(env.LADLE_HOST?.trim()),
    publicUrl,
    tls: cert && key ? { certFile: path.resolve(rootDir, cert), keyFile: path.resolve(rootDir, key) } : null,
    dataDir: path.resolve(rootDir, env.LADLE_DATA ?? 'data'),
    webDir: path.resolve(rootDir, 'web/dist'),
    devOrigin: env.LADLE_DEV_ORIGIN ?? null,
    test: env.LADLE_TEST === '1',
    testNowMs: env.LADLE_TEST === '1' && env.LADLE_TEST_NOW ? Number(env.LADLE_TEST_NOW) : null,
  };
}

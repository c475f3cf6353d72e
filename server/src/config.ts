import path from 'node:path';

/** What the server takes from its surroundings. */
export interface Config {
  port: number;
  host: string;
  dataDir: string;
  webDir: string | null;
  /** A second origin that may write, for the development server. */
  devOrigin: string | null;
  /** Lets tests set the clock; never outside them. */
  test: boolean;
  /** The moment the demo's data is made around, for pictures at a fixed time. */
  demoNowMs: number | null;
}

/** @throws Error with a plain message when a setting makes no sense. */
export function configFrom(env: NodeJS.ProcessEnv, rootDir: string): Config {
  const port = Number(env.LADLE_PORT ?? 4817);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`LADLE_PORT is "${env.LADLE_PORT}": give a port number between 0 and 65535.`);
  }
  return {
    port,
    host: '127.0.0.1',
    dataDir: path.resolve(rootDir, env.LADLE_DATA ?? 'data'),
    webDir: path.resolve(rootDir, 'web/dist'),
    devOrigin: env.LADLE_DEV_ORIGIN ?? null,
    test: env.LADLE_TEST === '1',
    demoNowMs: env.LADLE_TEST === '1' && env.LADLE_DEMO_NOW ? Number(env.LADLE_DEMO_NOW) : null,
  };
}

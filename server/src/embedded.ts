import { AdjustableClock } from './clock.ts';
import { configFrom } from './config.ts';
import { makeDataFolder } from './db/folder.ts';
import { prepare } from './prepare.ts';
import { serve } from './serve.ts';

/**
 * Serves a kitchen within the process that asks for it: the browser tests start two hundred, and the program is read in
 * once for all of them.
 * @param env as the environment of a process of its own.
 * @param demo fills it with the demo's kitchen first.
 * @param tell receives what the server says; the line with its address says that it is ready.
 * @returns settles once the signal has ended it.
 * @throws Error with a plain message when a setting makes no sense, or it cannot serve.
 */
export async function serveWithin(
  env: NodeJS.ProcessEnv,
  rootDir: string,
  demo: boolean,
  { signal, tell, report }: Pick<Parameters<typeof serve>[0], 'signal' | 'tell' | 'report'>,
): Promise<void> {
  const config = configFrom(env, rootDir);
  const clock = new AdjustableClock();
  if (config.testNowMs !== null) clock.set(config.testNowMs, false);
  makeDataFolder(config.dataDir);
  await prepare(config.dataDir, clock, { demo });
  await serve({ config, clock, signal, tell, report });
}

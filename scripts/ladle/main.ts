/**
 * The core on the command line: `npm run -s ladle -- read FILE`, `plan`, `trace`, `keep`. JSON goes to standard output,
 * messages to standard error. Ends on 0; on 1 where the input is wrong or cannot be made; on 2 where the command is.
 */
import { HELP } from './help.ts';
import { keep } from './keep.ts';
import { plan, trace } from './plan.ts';
import { InputProblem, UsageProblem } from './problems.ts';
import { read } from './read.ts';

const COMMANDS: Readonly<Record<string, (args: readonly string[]) => string>> = { read, plan, trace, keep };

const [command, ...args] = process.argv.slice(2);
if (!command || command === '--help' || command === 'help' || args.includes('--help')) {
  console.log(HELP[command ?? ''] ?? HELP['']);
  process.exit(command ? 0 : 2);
}
const run = COMMANDS[command];
try {
  if (!run) throw new UsageProblem(`no command "${command}"; known: ${Object.keys(COMMANDS).join(', ')}`);
  process.stdout.write(`${run(args)}\n`);
} catch (error) {
  if (!(error instanceof UsageProblem || error instanceof InputProblem)) throw error;
  console.error(`ladle: ${error.message}`);
  process.exitCode = error instanceof UsageProblem ? 2 : 1;
}

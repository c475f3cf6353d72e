/** What each command says of itself. */
export const HELP: Readonly<Record<string, string>> = {
  '': `ladle: the calculating core of Big Ladle on the command line.

  ladle read [FILE] [--us]       a recipe text to JSON: lines, steps, doubts, what was not understood, each with its span
  ladle plan RECIPE [options]    a recipe to a plan: amounts, steps with their times, litres, strength, how long it keeps
  ladle trace RECIPE [options]   the same as what stands in each vessel after each step, --csv for a table
  ladle keep BATCH               bottles to their deadlines, with the reasons

  FILE, RECIPE and BATCH may be "-": standard input. "ladle COMMAND --help" says more.
  JSON goes to standard output, messages to standard error. Ends on 0; on 1 where the input is wrong; on 2 where the
  command is. The shapes are described in docs/command-line.md.`,
  read: `ladle read [FILE] [--us]

  Reads a recipe text (of at most 50,000 characters), from a file or standard input.
  --us      its cups, spoons, pints, quarts and gallons are US ones; without it they are metric and imperial`,
  plan: `ladle plan RECIPE [options]

  RECIPE is a recipe document, or what "ladle read" wrote: its first drink, or the one of --drink N.
  --bottled L      litres in bottles; without it those of the recipe
  --pot WxH        inside width and height of the pot in cm, as 30x24; without it one that takes it
  --ring W         power of the ring in watts; 3000 without it
  --method ID      how it is drawn; without it the first of the recipe
  --kitchen FILE   a kitchen document: its first pot and ring are used`,
  trace: `ladle trace RECIPE [options]

  Options as for "ladle plan", and
  --csv            a row for each step instead of JSON`,
  keep: `ladle keep BATCH

  BATCH is a JSON document: {"recipe": …, "bottledL": 4, "startedAt": "2026-11-25T09:00:00Z",
  "bottles": [{"name": "A", "volumeMl": 750, "openedAt": null}]}; see docs/command-line.md.`,
};

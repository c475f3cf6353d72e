import { parse } from '@formatjs/icu-messageformat-parser';
import type { Plugin } from 'vite';
import { type Node, nodesIn } from './nodes.ts';

/** A message with figures, plurals or choices in it. */
const isMessage = ({ type, value }: Node): boolean =>
  type === 'Literal' && typeof value === 'string' && value.includes('{');

/**
 * Reads the messages of the catalogues while the application is built, so that no browser has to fetch the reader:
 * what it would make of a sentence stands in its place.
 */
export const precompiledMessages = (): Plugin => ({
  name: 'precompiled-messages',
  apply: 'build',
  enforce: 'pre',
  config: () => ({
    resolve: {
      alias: [
        {
          find: /^@formatjs\/icu-messageformat-parser$/,
          replacement: '@formatjs/icu-messageformat-parser/no-parser.js',
        },
      ],
    },
  }),
  transform: {
    filter: { id: /\/words\/en\/\w+\.ts$/ },
    handler(code) {
      const messages = nodesIn(this.parse(code, { lang: 'ts' }) as unknown as Node, isMessage);
      let out = code;
      for (const { start, end, value } of messages.toReversed())
        out =
          out.slice(0, start) + JSON.stringify(parse(value as string, { ignoreTag: true })) + out.slice(end);
      return { code: out, map: null };
    },
  },
});

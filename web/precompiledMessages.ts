import { parse } from '@formatjs/icu-messageformat-parser';
import type { Plugin } from 'vite';

interface Node {
  type: string;
  start: number;
  end: number;
  value?: unknown;
}

const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && 'type' in value && typeof value.type === 'string';

/** Every string of the file that is a message with figures, plurals or choices in it. */
function messagesIn(node: Node, found: { start: number; end: number; text: string }[] = []): typeof found {
  if (node.type === 'Literal' && typeof node.value === 'string' && node.value.includes('{'))
    found.push({ start: node.start, end: node.end, text: node.value });
  for (const child of Object.values(node).flat()) if (isNode(child)) messagesIn(child, found);
  return found;
}

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
      const messages = messagesIn(this.parse(code, { lang: 'ts' }) as unknown as Node);
      let out = code;
      for (const { start, end, text } of messages.toReversed())
        out = out.slice(0, start) + JSON.stringify(parse(text, { ignoreTag: true })) + out.slice(end);
      return { code: out, map: null };
    },
  },
});

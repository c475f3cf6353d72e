import type { Plugin } from 'vite';
import { type Node, nodesIn } from './nodes.ts';

const isSource = (node: Node): boolean =>
  node.type === 'Property' && node.key?.type === 'Identifier' && node.key.name === 'source';

/**
 * Where a value of the tables comes from is for those who read the code: no screen shows it, and the browser does not
 * fetch it.
 */
export const withoutSources = (): Plugin => ({
  name: 'without-sources',
  apply: 'build',
  enforce: 'pre',
  transform: {
    filter: { id: /core\/src\/(?:tables\/.*|units\/units)\.ts$/ },
    handler(code) {
      let out = '';
      let from = 0;
      for (const { start, end } of nodesIn(this.parse(code, { lang: 'ts' }) as unknown as Node, isSource)) {
        out += code.slice(from, start);
        from = end + (/^\s*,/.exec(code.slice(end))?.[0].length ?? 0);
      }
      return from === 0 ? null : { code: out + code.slice(from), map: null };
    },
  },
});

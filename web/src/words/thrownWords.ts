import { sayCode } from './say.ts';
import './places/items.ts';

/** Why something was thrown out, in the cook's words or ours. */
export const sayWhy = ({ why, codes }: { why?: string | null; codes?: readonly string[] }): string =>
  codes?.length ? codes.map((code) => sayCode(code)).join(', ') : (why ?? '');

import { create } from 'qrcode';
import type { CodeMatrix } from './layout.ts';

/** The square code of an address, with enough of it said twice that a scratched label still reads. */
export function codeOf(url: string): CodeMatrix {
  const { modules } = create(url, { errorCorrectionLevel: 'M' });
  return { size: modules.size, dark: (row, column) => Boolean(modules.get(row, column)) };
}

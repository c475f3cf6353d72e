import { create } from 'qrcode';

/** A square code: which of its fields are dark. */
export interface CodeMatrix {
  /** Fields along a side. */
  size: number;
  dark: (row: number, column: number) => boolean;
}

/** The square code of an address, with enough of it said twice that a scratched label still reads. */
export function codeOf(url: string): CodeMatrix {
  const { modules } = create(url, { errorCorrectionLevel: 'M' });
  return { size: modules.size, dark: (row, column) => Boolean(modules.get(row, column)) };
}

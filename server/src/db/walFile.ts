/**
 * Puts what a write-ahead log holds into the image of its database, in memory: for reading where nothing can be written,
 * not even the index that SQLite keeps beside a log. Format: "The WAL File Format" of SQLite's documentation. Frames count
 * up to the last one that ends a transaction and whose running checksums hold.
 * @param main the database file. @param wal the log beside it; empty where there is none.
 * @returns a database that needs no log.
 */
export function withLog(main: Buffer, wal: Buffer): Buffer {
  const pages = committedPages(wal);
  const last = pages.at(-1);
  let image = Buffer.from(main);
  if (last) {
    const pageSize = last.data.length;
    const grown = Buffer.alloc(Math.max(image.length, last.sizePages * pageSize));
    image.copy(grown);
    for (const { page, data } of pages) data.copy(grown, (page - 1) * pageSize);
    image = grown.subarray(0, last.sizePages * pageSize);
  }
  // The two bytes that say "with a write-ahead log": from here on there is none.
  if (image.length > 20) image.fill(1, 18, 20);
  return image;
}

const HEADER = 32;
const FRAME_HEADER = 24;
const MAGIC_LITTLE = 0x377f0682;
const MAGIC_BIG = 0x377f0683;

interface WalPage {
  page: number;
  /** Pages of the database after the transaction that this frame ends; 0 within one. */
  sizePages: number;
  data: Buffer;
}

function committedPages(wal: Buffer): WalPage[] {
  if (wal.length < HEADER) return [];
  const magic = wal.readUInt32BE(0);
  if (magic !== MAGIC_LITTLE && magic !== MAGIC_BIG) return [];
  const little = magic === MAGIC_LITTLE;
  const pageSize = wal.readUInt32BE(8);
  const salt = wal.subarray(16, 24);
  let sums = checksum([0, 0], wal.subarray(0, 24), little);
  if (sums[0] !== wal.readUInt32BE(24) || sums[1] !== wal.readUInt32BE(28)) return [];
  const pages: WalPage[] = [];
  let committed = 0;
  for (let at = HEADER; at + FRAME_HEADER + pageSize <= wal.length; at += FRAME_HEADER + pageSize) {
    const header = wal.subarray(at, at + FRAME_HEADER);
    const data = wal.subarray(at + FRAME_HEADER, at + FRAME_HEADER + pageSize);
    // Frames of an earlier round of the log.
    if (!header.subarray(8, 16).equals(salt)) break;
    sums = checksum(checksum(sums, header.subarray(0, 8), little), data, little);
    if (sums[0] !== header.readUInt32BE(16) || sums[1] !== header.readUInt32BE(20)) break;
    const sizePages = header.readUInt32BE(4);
    pages.push({ page: header.readUInt32BE(0), sizePages, data });
    if (sizePages > 0) committed = pages.length;
  }
  return pages.slice(0, committed);
}

function checksum(
  [first, second]: readonly [number, number],
  data: Buffer,
  little: boolean,
): [number, number] {
  let a = first;
  let b = second;
  for (let i = 0; i + 8 <= data.length; i += 8) {
    a = (a + (little ? data.readUInt32LE(i) : data.readUInt32BE(i)) + b) >>> 0;
    b = (b + (little ? data.readUInt32LE(i + 4) : data.readUInt32BE(i + 4)) + a) >>> 0;
  }
  return [a, b];
}

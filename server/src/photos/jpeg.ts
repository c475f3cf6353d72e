/** Markers of a JPEG that picture and header are made of; everything else (camera, place, thumbnail, remarks) is left out. */
const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
const JFIF = 0xe0;
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
const isKept = (marker: number): boolean =>
  isFrame(marker) || [0xc4, 0xdb, 0xdd, JFIF, SCAN].includes(marker);

/** No side is longer, pixels. */
const MOST_PX = 4096;

export interface CleanJpeg {
  bytes: Buffer;
  widthPx: number;
  heightPx: number;
}

/**
 * A JPEG with nothing in it but the picture: segments of metadata and whatever stands after its end are dropped.
 * Source: ITU-T T.81, annex B.
 * @returns null where it is no whole JPEG, or larger than is taken.
 */
export function cleanJpeg(data: Uint8Array): CleanJpeg | null {
  const bytes = Buffer.from(data.buffer, data.byteOffset, data.byteLength);
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== START) return null;
  const parts: Buffer[] = [bytes.subarray(0, 2)];
  let size: { widthPx: number; heightPx: number } | null = null;
  let at = 2;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1]!;
    if (marker === 0xff) {
      at++;
      continue;
    }
    if (marker === END)
      return size && { bytes: Buffer.concat([...parts, bytes.subarray(at, at + 2)]), ...size };
    const length = bytes.readUInt16BE(at + 2);
    let end = at + 2 + length;
    if (length < 2 || end > bytes.length) return null;
    if (isFrame(marker)) {
      if (length < 8) return null;
      size = { heightPx: bytes.readUInt16BE(at + 5), widthPx: bytes.readUInt16BE(at + 7) };
      if (size.heightPx < 1 || size.widthPx < 1 || Math.max(size.heightPx, size.widthPx) > MOST_PX)
        return null;
    }
    if (marker === SCAN) end = endOfScan(bytes, end);
    if (isKept(marker)) parts.push(bytes.subarray(at, end));
    at = end;
  }
  // An end that is the very last two bytes.
  return size && at + 2 === bytes.length && bytes[at] === 0xff && bytes[at + 1] === END
    ? { bytes: Buffer.concat([...parts, bytes.subarray(at)]), ...size }
    : null;
}

/** Coded data go on to the next marker; a stuffed byte and a restart are none. */
function endOfScan(bytes: Buffer, from: number): number {
  for (
    let at = bytes.indexOf(0xff, from);
    at >= 0 && at + 1 < bytes.length;
    at = bytes.indexOf(0xff, at + 1)
  ) {
    const next = bytes[at + 1]!;
    if (next !== 0x00 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  return bytes.length;
}

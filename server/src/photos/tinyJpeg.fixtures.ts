/** One segment of a JPEG: its marker, its length, what is in it. */
const segment = (marker: number, content: Uint8Array): Buffer => {
  const head = Buffer.alloc(4);
  head.writeUInt16BE(0xff00 + marker, 0);
  head.writeUInt16BE(content.length + 2, 2);
  return Buffer.concat([head, content]);
};

/**
 * The smallest thing that is built as a JPEG is: a frame of 3 by 2 pixels and a scan.
 * @param said what a camera has written into it.
 */
export function tinyJpeg(said = '', coded = 1): Buffer {
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    ...(said ? [segment(0xe1, Buffer.from(`Exif\0\0${said}`)), segment(0xfe, Buffer.from(said))] : []),
    segment(0xdb, Buffer.alloc(65)),
    segment(0xc0, Buffer.from([8, 0, 2, 0, 3, 1, 1, 0x11, 0])),
    segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
    // Coded data with a stuffed byte and a restart in them.
    Buffer.from([coded, 0xff, 0x00, 2, 0xff, 0xd0, 3]),
    Buffer.from([0xff, 0xd9]),
    // Some cameras hang a film behind the picture.
    ...(said ? [Buffer.from(said)] : []),
  ]);
}

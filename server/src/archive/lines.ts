import { createReadStream } from 'node:fs';
import { HttpProblem } from '../problems.ts';

/** One line of a file, without its end, and how many bytes have been read with it. */
export interface Line {
  no: number;
  text: string;
  bytes: number;
}

const NEWLINE = 10;

/**
 * The lines of a file, one after another, however long it is.
 * @param longestOf the most bytes that the line of this number may have.
 * @throws HttpProblem where a line is longer, or is no text.
 */
export async function* linesOf(file: string, longestOf: (no: number) => number): AsyncGenerator<Line> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let no = 1;
  let bytes = 0;
  let parts: Buffer[] = [];
  let length = 0;
  const add = (part: Buffer): void => {
    length += part.length;
    if (length > longestOf(no))
      throw new HttpProblem('archiveLine', { params: { line: no, why: 'tooLong' } });
    parts.push(part);
  };
  const line = (): Line => {
    bytes += length + 1;
    try {
      const text = decoder.decode(parts.length === 1 ? parts[0] : Buffer.concat(parts));
      return { no: no++, text, bytes };
    } catch {
      throw new HttpProblem('archiveLine', { params: { line: no, why: 'noText' } });
    } finally {
      parts = [];
      length = 0;
    }
  };
  for await (const chunk of createReadStream(file, { highWaterMark: 256 * 1024 }) as AsyncIterable<Buffer>) {
    let from = 0;
    for (let at = chunk.indexOf(NEWLINE); at >= 0; at = chunk.indexOf(NEWLINE, from)) {
      add(chunk.subarray(from, at));
      yield line();
      from = at + 1;
    }
    if (from < chunk.length) add(chunk.subarray(from));
  }
  if (length > 0) yield line();
}

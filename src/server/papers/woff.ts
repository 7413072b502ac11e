/**
 * A font out of its web package: WOFF 1 holds the tables of an OpenType font, each compressed by itself. Unpacked once here
 * by the platform, a paper does not have every table inflated anew. Source: W3C, WOFF File Format 1.0, sections 3 to 5.
 */
import { inflateSync } from 'node:zlib';

const SIGNATURE = 0x774f4646;
const HEADER = 44;
const ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

const padded = (bytes: number) => Math.ceil(bytes / 4) * 4;

/** The OpenType font in a WOFF file. Throws RangeError for anything else. */
export function openTypeOf(woff: Buffer): Buffer {
  if (woff.length < HEADER || woff.readUInt32BE(0) !== SIGNATURE) throw new RangeError('not a WOFF file');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, index) => {
    const at = HEADER + index * ENTRY;
    const [offset, packed, length] = [4, 8, 12].map((field) => woff.readUInt32BE(at + field)) as [
      number,
      number,
      number,
    ];
    const data = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      data: packed < length ? inflateSync(data) : data,
    };
  });
  const power = Math.floor(Math.log2(count));
  const header = Buffer.alloc(SFNT_HEADER + count * SFNT_ENTRY);
  woff.copy(header, 0, 4, 8);
  header.writeUInt16BE(count, 4);
  header.writeUInt16BE(2 ** power * 16, 6);
  header.writeUInt16BE(power, 8);
  header.writeUInt16BE(count * 16 - 2 ** power * 16, 10);
  const parts: Buffer[] = [header];
  let offset = header.length;
  for (const [index, { tag, checksum, data }] of tables.entries()) {
    const at = SFNT_HEADER + index * SFNT_ENTRY;
    tag.copy(header, at);
    header.writeUInt32BE(checksum, at + 4);
    header.writeUInt32BE(offset, at + 8);
    header.writeUInt32BE(data.length, at + 12);
    parts.push(data, Buffer.alloc(padded(data.length) - data.length));
    offset += padded(data.length);
  }
  return Buffer.concat(parts);
}

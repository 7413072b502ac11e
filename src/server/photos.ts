/**
 * Photos as files: each is kept once, by the hash of its bytes, at most so large, upright, without what a camera writes
 * into it (place, owner, time). A small version is made when it is first asked for. Rows in the database say which are
 * used; a file that nobody came to use is swept after some days.
 */
import { createHash, randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { LARGEST_PHOTO, PHOTO_SIDE, SMALL_SIDE, SMALLEST_SIDE } from '@/contract/limits';
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import { DbUnavailable } from '@/db/client';

export interface KeptPhoto {
  readonly hash: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}
/** Turned by so many degrees clockwise about its middle, then cut to a part of itself, as shares of its sides. */
export interface PhotoEdit {
  readonly hash: string;
  readonly turn: number;
  readonly crop: { readonly x: number; readonly y: number; readonly w: number; readonly h: number };
}
export type PhotoSize = 'full' | 'small';

export interface Photos {
  /** Keeps a picture that came in; answers what is wrong with it, and what to do. */
  keep(bytes: Uint8Array): Promise<Outcome<KeptPhoto>>;
  /** A kept one straightened and cropped: another picture. */
  edit(edit: PhotoEdit): Promise<Outcome<KeptPhoto>>;
  /** What is known of a kept one; undefined when there is no such file. */
  find(hash: string): Promise<KeptPhoto | undefined>;
  /** Its bytes; undefined when there is no such file. */
  read(hash: string, size: PhotoSize): Promise<Buffer | undefined>;
  /** Deletes the files that are older than `before` and not among those used; answers how many. */
  sweep(used: ReadonlySet<string>, before: Date): Promise<number>;
}

const FULL: ReadonlySet<string> = new Set(['ENOSPC', 'EDQUOT']);
const QUALITY = 86;
/** More pixels than any camera takes; a file that claims more is no photo. */
const MOST_PIXELS = 120_000_000;
const AT_ONCE = 2;

/** What a file is by its first bytes; names and types of uploads say nothing. */
export function kindOf(bytes: Uint8Array): 'photo' | 'heic' | 'other' | 'empty' {
  if (bytes.length === 0) return 'empty';
  const text = Buffer.from(bytes.buffer, bytes.byteOffset, Math.min(bytes.length, 32)).toString('latin1');
  if (/^(\xff\xd8\xff|\x89PNG\r\n\x1a\n|GIF8[79]a|RIFF....WEBP|II\*\0|MM\0\*)/s.test(text)) return 'photo';
  if (text.slice(4, 8) !== 'ftyp') return 'other';
  const brand = text.slice(8, 12);
  return /^avi[fs]$/.test(brand) ? 'photo' : /^(hei[cxms]|hev[cxms]|mif1|msf1)$/.test(brand) ? 'heic' : 'other';
}

const open = (bytes: Uint8Array | Buffer): Sharp =>
  sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true });

/** Why the library could not read it. */
function unreadable(error: unknown): Issue {
  const said = error instanceof Error ? error.message : '';
  return /pixel limit/i.test(said) ? issue('photo-pixels', { most: MOST_PIXELS / 1e6 }) : issue('photo-broken');
}

export function photosIn(folder: string): Photos {
  const at = (...parts: string[]) => path.join(/*turbopackIgnore: true*/ folder, ...parts);
  const fileOf = (hash: string, size: PhotoSize = 'full') =>
    at(size === 'full' ? 'photos' : 'small-photos', hash.slice(0, 2), `${hash}.jpg`);
  const exists = (hash: string) => fs.existsSync(fileOf(hash));

  /** A few at a time: each takes memory for all its pixels. */
  let running = 0;
  const waiting: (() => void)[] = [];
  const inTurn = async <T>(work: () => Promise<T>): Promise<T> => {
    if (running >= AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
    running += 1;
    try {
      return await work();
    } finally {
      running -= 1;
      waiting.shift()?.();
    }
  };

  /** Written beside, flushed, then named: a file with a hash for a name is whole. */
  async function write(file: string, bytes: Buffer): Promise<void> {
    await fs.promises.mkdir(path.dirname(file), { recursive: true, mode: 0o700 });
    const making = path.join(/*turbopackIgnore: true*/ path.dirname(file), `.making-${randomUUID()}`);
    try {
      const handle = await fs.promises.open(making, 'w', 0o600);
      try {
        await handle.writeFile(bytes);
        await handle.sync();
      } finally {
        await handle.close();
      }
      await fs.promises.rename(making, file);
    } finally {
      await fs.promises.rm(making, { force: true });
    }
  }

  /** Encodes what comes out of `image` as it is kept, and keeps it. */
  async function put(image: Sharp): Promise<Outcome<KeptPhoto>> {
    const { data, info } = await image
      .flatten({ background: '#ffffff' })
      .resize({ width: PHOTO_SIDE, height: PHOTO_SIDE, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true });
    if (Math.min(info.width, info.height) < SMALLEST_SIDE)
      return bad(issue('photo-small', { w: info.width, h: info.height, least: SMALLEST_SIDE }));
    const hash = createHash('sha256').update(data).digest('hex');
    // One that is there already is young again, so that it is not swept before it is used.
    if (exists(hash)) await fs.promises.utimes(fileOf(hash), new Date(), new Date());
    else await write(fileOf(hash), data);
    return good({ hash, width: info.width, height: info.height, bytes: data.length });
  }

  const reading = async (work: () => Promise<Outcome<KeptPhoto>>): Promise<Outcome<KeptPhoto>> => {
    try {
      return await inTurn(work);
    } catch (error) {
      // A full disk is no fault of the picture; it is said as of the database.
      if (error instanceof Error && 'code' in error)
        throw FULL.has(String(error.code)) ? new DbUnavailable('no-room') : error;
      return bad(unreadable(error));
    }
  };

  return {
    async keep(bytes) {
      if (bytes.length > LARGEST_PHOTO) return bad(issue('photo-large', { most: LARGEST_PHOTO / 1e6 }));
      const kind = kindOf(bytes);
      if (kind === 'heic') return bad(issue('photo-heic'));
      if (kind !== 'photo') return bad(issue('photo-kind'));
      return reading(() => put(open(bytes).autoOrient()));
    },
    async edit({ hash, turn, crop }) {
      const bytes = await this.read(hash, 'full');
      if (!bytes) return bad(issue('photo-unknown'));
      return reading(async () => {
        const { width, height } = await open(bytes).metadata();
        const turned = await open(bytes).rotate(turn, { background: '#ffffff' }).toBuffer({ resolveWithObject: true });
        // The frame turns by quarters with the photo; by less, the photo turns in it.
        const lying = Math.round(turn / 90) % 2 !== 0;
        const [w, h] = lying ? [height, width] : [width, height];
        const left = Math.max(0, Math.round((turned.info.width - w) / 2));
        const top = Math.max(0, Math.round((turned.info.height - h) / 2));
        const part = {
          left: left + Math.floor(crop.x * w),
          top: top + Math.floor(crop.y * h),
          width: Math.max(1, Math.min(w, Math.round(crop.w * w))),
          height: Math.max(1, Math.min(h, Math.round(crop.h * h))),
        };
        part.width = Math.min(part.width, turned.info.width - part.left);
        part.height = Math.min(part.height, turned.info.height - part.top);
        return put(open(turned.data).extract(part));
      });
    },
    async find(hash) {
      const bytes = await this.read(hash, 'full');
      if (!bytes) return undefined;
      const { width, height } = await open(bytes).metadata();
      return { hash, width, height, bytes: bytes.length };
    },
    async read(hash, size) {
      if (!exists(hash)) return undefined;
      const file = fileOf(hash, size);
      if (size === 'small' && !fs.existsSync(file))
        await inTurn(async () =>
          write(
            file,
            await open(fs.readFileSync(fileOf(hash)))
              .resize({ width: SMALL_SIDE, height: SMALL_SIDE, fit: 'inside', withoutEnlargement: true })
              .jpeg({ quality: QUALITY })
              .toBuffer(),
          ),
        );
      return fs.promises.readFile(file);
    },
    async sweep(used, before) {
      if (!fs.existsSync(at('photos'))) return 0;
      const entries = await fs.promises.readdir(at('photos'), { withFileTypes: true, recursive: true });
      let gone = 0;
      for (const entry of entries) {
        const hash = entry.name.replace(/\.jpg$/, '');
        if (!entry.isFile() || used.has(hash)) continue;
        const file = path.join(/*turbopackIgnore: true*/ entry.parentPath, entry.name);
        if ((await fs.promises.stat(file)).mtime >= before) continue;
        await fs.promises.rm(file, { force: true });
        await fs.promises.rm(fileOf(hash, 'small'), { force: true });
        gone += 1;
      }
      return gone;
    },
  };
}

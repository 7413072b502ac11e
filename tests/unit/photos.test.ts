import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LARGEST_PHOTO } from '@/contract/limits';
import { type KeptPhoto, type Photos, kindOf, photosIn } from '@/server/photos';
import { codes } from '../stocked';

let folder: string;
let photos: Photos;
beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-photos-'));
  photos = photosIn(folder);
});
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

const RED = { r: 200, g: 20, b: 20 };
/** Red on the left, blue on the right. */
const halves = (w: number, h: number) =>
  sharp({ create: { width: w, height: h, channels: 3, background: RED } }).composite([
    {
      input: { create: { width: w / 2, height: h, channels: 3, background: { r: 20, g: 20, b: 200 } } },
      left: w / 2,
      top: 0,
    },
  ]);
const must = async (bytes: Uint8Array): Promise<KeptPhoto> => {
  const kept = await photos.keep(bytes);
  if (!kept.ok) throw new Error(codes(kept));
  return kept.value;
};
/** The colour in the middle of a part of a kept photo, by shares of its sides. */
async function colourAt(hash: string, x: number, y: number): Promise<'red' | 'blue' | 'white' | 'other'> {
  const { data, info } = await sharp((await photos.read(hash, 'full'))!)
    .raw()
    .toBuffer({ resolveWithObject: true });
  const at = (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * info.channels;
  const [r = 0, g = 0, b = 0] = data.subarray(at, at + 3);
  if (r > 230 && g > 230 && b > 230) return 'white';
  return r > 150 && b < 90 ? 'red' : b > 150 && r < 90 ? 'blue' : 'other';
}

describe('a photo that comes in', () => {
  it('is kept once, named by its bytes, at most 2400 pixels long', async () => {
    const png = await halves(3000, 1500).png().toBuffer();
    const first = await must(png);
    expect([first.width, first.height]).toEqual([2400, 1200]);
    expect(first.hash).toMatch(/^[0-9a-f]{64}$/);
    expect(await must(png)).toEqual(first);
    const files = fs.readdirSync(path.join(folder, 'photos'), { recursive: true, withFileTypes: true });
    expect(files.filter((file) => file.isFile()).map((file) => file.name)).toEqual([`${first.hash}.jpg`]);
    expect(await photos.find(first.hash)).toEqual(first);
  });

  it('is not made larger than it was', async () => {
    const { width, height } = await must(await halves(300, 200).jpeg().toBuffer());
    expect([width, height]).toEqual([300, 200]);
  });

  it('stands upright, however the camera was held', async () => {
    // 6: the camera was turned; what was left is on top.
    const { hash, width, height } = await must(
      await halves(400, 200).jpeg().withMetadata({ orientation: 6 }).toBuffer(),
    );
    expect([width, height]).toEqual([200, 400]);
    expect([await colourAt(hash, 0.5, 0.2), await colourAt(hash, 0.5, 0.8)]).toEqual(['red', 'blue']);
  });

  it('says nothing of where, when and by whom it was taken', async () => {
    const taken = await halves(400, 300)
      .jpeg()
      .withExif({
        IFD0: { Artist: 'Somebody Known', Software: 'Camera 1' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1', GPSLongitudeRef: 'W', GPSLongitude: '0/1 7/1 0/1' },
      })
      .toBuffer();
    expect((await sharp(taken).metadata()).exif).toBeDefined();
    const { hash } = await must(taken);
    const kept = (await photos.read(hash, 'full'))!;
    const { exif, xmp, iptc } = await sharp(kept).metadata();
    expect([exif, xmp, iptc]).toEqual([undefined, undefined, undefined]);
    expect(kept.includes('Somebody Known')).toBe(false);
    const small = (await photos.read(hash, 'small'))!;
    expect((await sharp(small).metadata()).exif).toBeUndefined();
  });

  it('is white where a picture lets through', async () => {
    const clear = { r: 0, g: 0, b: 0, alpha: 0 };
    const png = await sharp({ create: { width: 100, height: 100, channels: 4, background: clear } })
      .png()
      .toBuffer();
    expect(await colourAt((await must(png)).hash, 0.5, 0.5)).toBe('white');
  });

  it.each(['webp', 'avif', 'tiff', 'gif', 'png', 'jpeg'] as const)('may be a %s', async (format) => {
    const { width } = await must(await halves(200, 100).toFormat(format).toBuffer());
    expect(width).toBe(200);
  });

  it.each([
    ['nothing', Buffer.alloc(0), 'photo-kind'],
    ['a text', Buffer.from('no photo at all'), 'photo-kind'],
    ['a PDF', Buffer.from('%PDF-1.7\n'), 'photo-kind'],
    ['an SVG', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900"/>'), 'photo-kind'],
    ['a HEIC', Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1'), 'photo-heic'],
    ['the first bytes of a JPEG only', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]), 'photo-broken'],
    ['more than 25 MB', Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(LARGEST_PHOTO)]), 'photo-large'],
  ])('%s is refused with what to do', async (_name, bytes, code) => {
    expect(codes(await photos.keep(bytes))).toBe(code);
  });

  it('of one pixel shows nothing, and one that was cut off is not half kept', async () => {
    expect(codes(await photos.keep(await halves(2, 1).png().toBuffer()))).toBe('photo-small');
    const whole = await halves(1200, 900).jpeg().toBuffer();
    expect(codes(await photos.keep(whole.subarray(0, Math.floor(whole.length / 2))))).toBe('photo-broken');
  });

  it('that claims more pixels than any camera is not unpacked', async () => {
    // The head of a PNG of 60,000 × 60,000 with nothing in it.
    const png = await halves(64, 64).png().toBuffer();
    png.writeUInt32BE(60_000, 16);
    png.writeUInt32BE(60_000, 20);
    expect(['photo-pixels', 'photo-broken']).toContain(codes(await photos.keep(png)));
  });

  it('is told by its first bytes, whatever they are', () => {
    for (let seed = 0; seed < 500; seed += 1) {
      const bytes = Buffer.from(Array.from({ length: seed % 40 }, (_, k) => (seed * 31 + k * 17) % 256));
      expect(['photo', 'heic', 'other', 'empty']).toContain(kindOf(bytes));
    }
  });
});

describe('straightening and cropping', () => {
  it('cuts to the part that was chosen', async () => {
    const { hash } = await must(await halves(800, 400).png().toBuffer());
    const right = await photos.edit({ hash, turn: 0, crop: { x: 0.5, y: 0, w: 0.5, h: 1 } });
    if (!right.ok) throw new Error(codes(right));
    expect([right.value.width, right.value.height]).toEqual([400, 400]);
    expect(await colourAt(right.value.hash, 0.1, 0.5)).toBe('blue');
    expect(await photos.find(hash)).toBeDefined();
  });

  it('turns by quarters with its frame', async () => {
    const { hash } = await must(await halves(800, 400).png().toBuffer());
    const turned = await photos.edit({ hash, turn: 90, crop: { x: 0, y: 0, w: 1, h: 1 } });
    if (!turned.ok) throw new Error(codes(turned));
    expect([turned.value.width, turned.value.height]).toEqual([400, 800]);
    expect([await colourAt(turned.value.hash, 0.5, 0.1), await colourAt(turned.value.hash, 0.5, 0.9)]).toEqual([
      'red',
      'blue',
    ]);
  });

  it('turns by less within its frame: its middle stays, its corners are paper', async () => {
    const { hash } = await must(await halves(800, 400).png().toBuffer());
    const level = await photos.edit({ hash, turn: 8, crop: { x: 0, y: 0, w: 1, h: 1 } });
    if (!level.ok) throw new Error(codes(level));
    expect([level.value.width, level.value.height]).toEqual([800, 400]);
    expect(await colourAt(level.value.hash, 0.01, 0.99)).toBe('white');
    expect([await colourAt(level.value.hash, 0.4, 0.5), await colourAt(level.value.hash, 0.6, 0.5)]).toEqual([
      'red',
      'blue',
    ]);
  });

  it('refuses a part that shows nothing, and a photo that is not here', async () => {
    const { hash } = await must(await halves(800, 400).png().toBuffer());
    expect(codes(await photos.edit({ hash, turn: 0, crop: { x: 0.99, y: 0, w: 0.01, h: 1 } }))).toBe('photo-small');
    expect(codes(await photos.edit({ hash: 'f'.repeat(64), turn: 0, crop: { x: 0, y: 0, w: 1, h: 1 } }))).toBe(
      'photo-unknown',
    );
  });
});

describe('photos that nobody uses', () => {
  it('go when they are old, with their small version; used and young ones stay', async () => {
    const [used, old] = [
      await must(await halves(120, 90).png().toBuffer()),
      await must(await halves(130, 90).png().toBuffer()),
    ];
    await photos.read(old.hash, 'small');
    expect(await photos.sweep(new Set([used.hash]), new Date(0))).toBe(0);
    await photos.sweep(new Set([used.hash]), new Date(Date.now() + 60_000));
    expect(await photos.find(used.hash)).toEqual(used);
    expect(await photos.find(old.hash)).toBeUndefined();
    expect(fs.existsSync(path.join(folder, 'small-photos', old.hash.slice(0, 2), `${old.hash}.jpg`))).toBe(false);
  });
});

// @vitest-environment happy-dom
/** A piece as it is taken in: photos sent, faults marked, what came along, kept by itself; and what two people write. */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import sharp from 'sharp';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { NO_RECORD, type PieceRecord } from '@/core/custody/record';
import { PiecePage } from '@/features/piece/piece-page';
import { recordOf } from '@/db/queries/records';
import { pieceView } from '@/server/records';
import { button, choose, field, press, sent, shopOfFile, show, type } from '../screens';
import { must } from '../stocked';

const shop = shopOfFile();
let pieceId: string;
beforeEach(async () => {
  pieceId = (await shop().quote()).pieces[0]!.id;
});
const page = async (role: 'owner' | 'bench' = 'owner') =>
  show(<PiecePage view={(await pieceView(shop().app.viewer(role), pieceId))!} />);
const kept = async () => (await recordOf(shop().app.db, pieceId))?.record;
const keptSoon = (check: (record: PieceRecord) => void) =>
  waitFor(async () => check((await kept()) ?? NO_RECORD), { timeout: 4000 });
const png = async (shade: number) =>
  new File(
    [
      new Uint8Array(
        await sharp({ create: { width: 200, height: 160, channels: 3, background: { r: shade, g: 8, b: 8 } } })
          .png()
          .toBuffer(),
      ),
    ],
    `photo-${shade}.png`,
    { type: 'image/png' },
  );
const give = (files: File[]) => fireEvent.change(field('choose files'), { target: { files } });

describe('photos', () => {
  it('that are chosen are sent, shown and kept: the first as the front, the second as the back', async () => {
    await page();
    screen.getByText(/No photo yet/);
    give([await png(20), await png(60), await png(90)]);
    await keptSoon(({ photos }) => expect(photos.map(({ side }) => side)).toEqual(['front', 'back', 'detail']));
    const large = screen.getByRole<HTMLImageElement>('img', { name: /Detail, photo 3/ });
    expect(large.src).toMatch(/\/api\/photos\/[0-9a-f]{64}\?size=full$/);
    press('Make it the first');
    fireEvent.click(screen.getByRole('button', { name: 'Back', pressed: false }));
    await keptSoon(({ photos }) => expect(photos.map(({ side }) => side)).toEqual(['back', 'front', 'back']));
    expect(screen.getByText('Saved')).toBeTruthy();
  });

  it('that are dropped or pasted are sent as well; the same twice stands once', async () => {
    await page();
    const file = await png(33);
    fireEvent.drop(screen.getByRole('region', { name: 'Photos' }), { dataTransfer: { files: [file] } });
    await keptSoon(({ photos }) => expect(photos).toHaveLength(1));
    const paste = new Event('paste') as Event & { clipboardData: unknown };
    paste.clipboardData = { files: [file, await png(34)] };
    window.dispatchEvent(paste);
    await keptSoon(({ photos }) => expect(photos).toHaveLength(2));
  });

  it('that are none are refused with what to do, and those before stay', async () => {
    await page();
    give([await png(41), new File(['not a photo'], 'list.txt')]);
    await screen.findByText(/no photo that can be read here/);
    await keptSoon(({ photos }) => expect(photos).toHaveLength(1));
    const heic = new File(
      [new Uint8Array([...'\0\0\0\x18ftypheic\0\0\0\0mif1'].map((sign) => sign.charCodeAt(0)))],
      'a.heic',
    );
    give([heic]);
    await screen.findByText(/HEIC photo/);
  });

  it('too large are not even sent', async () => {
    await page();
    const large = new File(['x'], 'large.jpg');
    Object.defineProperty(large, 'size', { value: 50_000_000 });
    give([large]);
    await screen.findByText(/A photo may have 25 MB/);
    expect(shop().served.asked.some(({ path }) => path === '/api/photos')).toBe(false);
  });
});

describe('condition', () => {
  it('a press on the photo marks a fault there; what is said about it is kept by itself', async () => {
    await page();
    give([await png(50)]);
    const photo = await screen.findByRole('img', { name: /Front, photo 1/ });
    const frame = photo.parentElement!;
    frame.getBoundingClientRect = () => ({
      left: 100,
      top: 50,
      width: 400,
      height: 200,
      right: 500,
      bottom: 250,
      x: 100,
      y: 50,
      toJSON: () => '',
    });
    fireEvent.click(photo, { clientX: 200, clientY: 200 });
    await choose(/Kind/, 'Loose or flaking paint');
    type('Size', '4 mm');
    type('What is seen', 'Lifting at the lamp');
    fireEvent.click(screen.getByLabelText('The customer agrees'));
    await keptSoon(({ faults, photos }) =>
      expect(faults).toEqual([
        {
          number: 1,
          kind: 'flaking',
          size: '4 mm',
          says: 'Lifting at the lamp',
          noticedBy: 'shop',
          agreed: true,
          at: { hash: photos[0]!.hash, x: 0.25, y: 0.75 },
        },
      ]),
    );
    expect(screen.getByText(/a conservator decides/)).toBeTruthy();
    // One that has a mark is opened by it.
    press('Add a fault');
    expect(field('Size').value).toBe('');
    press('Mark 1: Loose or flaking paint');
    expect(field('Size').value).toBe('4 mm');
    press('Take fault 1 out');
    await keptSoon(({ faults }) => expect(faults.map(({ number }) => number)).toEqual([2]));
  });
});

describe('what else is written down', () => {
  it('what came along, handling and place', async () => {
    await page();
    type(/Each goes back/, 'Old frame');
    press('Add');
    expect(button('Add').disabled).toBe(true);
    press('Face up only');
    press('Gloves');
    press('Gloves');
    type('Lies at', 'Drawer 4');
    await keptSoon((record) =>
      expect([record.came.map(({ what }) => what), record.flags, record.place]).toEqual([
        ['Old frame'],
        ['face up'],
        'Drawer 4',
      ]),
    );
    press('Take out: Old frame');
    await keptSoon(({ came }) => expect(came).toEqual([]));
  });

  it('is kept in few commands while somebody types, and what others wrote meanwhile is decided, not lost', async () => {
    await page();
    for (const text of ['D', 'Dr', 'Drawer', 'Drawer 4']) type('Lies at', text);
    await keptSoon(({ place }) => expect(place).toBe('Drawer 4'));
    expect(sent(shop()).filter(({ name }) => name === 'take-in').length).toBeLessThanOrEqual(2);
    const record = (await recordOf(shop().app.db, pieceId))!;
    await must(
      shop().app.command('take-in', {
        pieceId,
        revision: record.revision,
        record: { ...record.record, flags: ['gloves'] } as never,
      }),
    );
    type('Lies at', 'Drawer 5');
    await screen.findByText(/changed since it was shown here/, {}, { timeout: 4000 });
    expect(field('Lies at').value).toBe('Drawer 5');
    expect((await kept())!.place).toBe('Drawer 4');
    press('Keep what I wrote');
    await keptSoon(({ place }) => expect(place).toBe('Drawer 5'));
    expect(screen.queryByText(/changed since it was shown here/)).toBeNull();
  });

  it('typed on while a slow line still keeps what was before is kept as well, and nobody is told of a conflict', async () => {
    await page();
    const { fetch } = shop().served;
    /** Lets the first command through when it is said. */
    let letGo: () => void = () => undefined;
    let begun = 0;
    vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
      if (url === '/api/v1/commands' && (begun += 1) === 1)
        await new Promise<void>((resolve) => {
          letGo = resolve;
        });
      return fetch(url, init);
    });
    type('Lies at', 'Drawer');
    await waitFor(() => expect(begun).toBe(1), { timeout: 3000 });
    type('Lies at', 'Drawer 7');
    // Keeps at once, behind the one that is still on its way.
    press('Sign here');
    letGo();
    await waitFor(async () => expect((await kept())?.place).toBe('Drawer 7'), { timeout: 8000 });
    expect(screen.queryByText(/changed since it was shown here/)).toBeNull();
  });

  it('is kept when somebody goes elsewhere in the middle of it', async () => {
    const { unmount } = await page();
    type('Lies at', 'Half typed');
    unmount();
    await keptSoon(({ place }) => expect(place).toBe('Half typed'));
  });

  it('the bench writes faults down and is told neither value nor signature', async () => {
    await page('bench');
    expect(screen.queryByText(/Declared value/)).toBeNull();
    expect(screen.queryByRole('button', { name: 'Sign here' })).toBeNull();
    press('Add a fault');
    await keptSoon(({ faults }) => expect(faults).toHaveLength(1));
  });

  it('is signed on paper under a name, and says when something was changed after that', async () => {
    await page();
    press('Gloves');
    press('Sign here');
    const form = within(
      (await screen.findByRole('button', { name: 'Signed on the printed receipt' })).closest('form')!,
    );
    expect(form.getByRole<HTMLButtonElement>('button', { name: 'Signed' }).disabled).toBe(true);
    type('Name of who signs', 'Bo Str');
    press('Signed on the printed receipt');
    await screen.findByText(/Signed on paper by Bo Str/);
    press('Gloves');
    await screen.findByText(/it can be signed anew/, {}, { timeout: 4000 });
  });
});

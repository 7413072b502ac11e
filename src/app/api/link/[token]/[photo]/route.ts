import { photoHash } from '@/core/custody/record-schema';
import { issue } from '@/core/issue';
import { caller, openRoute } from '@/server/access';
import { guestOf } from '@/server/guests';
import { photoOfGuest } from '@/server/guest-view';
import { problem } from '@/server/problem';

/** A picture of the order that the link is to; any other is not there. */
export const GET = openRoute(
  'GET /api/link/[token]/[photo]',
  async ({ nextUrl }, app, _person, { token = '', photo = '' }) => {
    const guest = await guestOf(app, token, (await caller()).address);
    const hash = photoHash.safeParse(photo);
    const size = nextUrl.searchParams.get('size') === 'full' ? 'full' : 'small';
    const bytes = typeof guest === 'string' || !hash.success ? undefined : await photoOfGuest(guest, hash.data, size);
    if (!bytes) return problem([issue('photo-unknown')]);
    return new Response(new Uint8Array(bytes), {
      headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=86400' },
    });
  },
);

import { photoHash } from '@/core/custody/record-schema';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { problem } from '@/server/problem';
import { photoOnScreen } from '@/server/shown-view';

/** A picture of the order on this screen; any other is not there. */
export const GET = route('GET /api/view/[screen]/[photo]', async ({ nextUrl }, viewer, { screen = '', photo = '' }) => {
  const hash = photoHash.safeParse(photo);
  const size = nextUrl.searchParams.get('size') === 'full' ? 'full' : 'small';
  const bytes = hash.success ? await photoOnScreen(viewer, screen, hash.data, size) : undefined;
  if (!bytes) return problem([issue('photo-unknown')]);
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=3600', vary: 'Cookie' },
  });
});

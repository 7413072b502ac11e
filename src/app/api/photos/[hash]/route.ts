import { issue } from '@/core/issue';
import { photoHash } from '@/core/custody/record-schema';
import { route } from '@/server/access';
import { problem } from '@/server/problem';

/** `size=small` or `full`. Named by what it holds, it never changes; kept by the browser of who may see it only. */
export const GET = route('GET /api/photos/[hash]', async ({ nextUrl }, { app }, { hash = '' }) => {
  const known = photoHash.safeParse(hash);
  const size = nextUrl.searchParams.get('size') === 'full' ? 'full' : 'small';
  const bytes = known.success ? await app.photos.read(known.data, size) : undefined;
  if (!bytes) return problem([issue('photo-unknown')]);
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'image/jpeg',
      'cache-control': 'private, max-age=31536000, immutable',
      vary: 'Cookie',
    },
  });
});

import { writeDxf, writeSvg } from '@/core/mat-cut/paths';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { matFiles } from '@/server/mats';
import { problem } from '@/server/problem';

/** `1.dxf`, `2.svg`: the mats of a job from the glass inward. */
export const GET = route('GET /api/v1/mats/[ticket]/[file]', async (_request, { app }, { ticket = '', file = '' }) => {
  const asked = /^(\d{1,2})\.(dxf|svg)$/.exec(file);
  const books = await app.books();
  const mats = books && (await matFiles(app.db, ticket.slice(0, 40), books.settings));
  if (!mats) return problem([issue('ticket-unknown', { ticket: ticket.slice(0, 20) })]);
  const mat = asked && mats[Number(asked[1]) - 1];
  if (!mat) return problem([issue('mat-no-window', { ticket })]);
  const svg = asked[2] === 'svg';
  return new Response(svg ? writeSvg(mat) : writeDxf(mat), {
    headers: {
      'content-type': svg ? 'image/svg+xml' : 'application/dxf',
      'content-disposition': `attachment; filename="mat-${ticket}-${asked[1]}.${asked[2]}"`,
    },
  });
});

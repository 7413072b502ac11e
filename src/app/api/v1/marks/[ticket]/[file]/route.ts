import { mapDxf, mapFile, mapSvg } from '@/core/drawing/marking-map';
import { Has } from '@/core/instructions/has';
import { SEEN_FROM, markingMap } from '@/core/instructions/marking-map';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { problem } from '@/server/problem';
import { jobView } from '@/server/views';

/** `behind.svg`, `front.dxf`: every mark of a job, in millimetres. */
export const GET = route('GET /api/v1/marks/[ticket]/[file]', async (_request, viewer, { ticket = '', file = '' }) => {
  const books = await viewer.app.books();
  const job = books && (await jobView(viewer, ticket.slice(0, 40)));
  if (!job) return problem([issue('ticket-unknown', { ticket: ticket.slice(0, 20) })]);
  const [, side, kind] = /^(behind|front)\.(dxf|svg)$/.exec(file) ?? [];
  const from = SEEN_FROM.find((one) => one === side);
  if (!from) return problem([issue('marks-unknown')]);
  const map = mapFile(markingMap(new Has(job.worked, books.settings), from), ticket);
  return new Response(kind === 'svg' ? mapSvg(map) : mapDxf(map), {
    headers: {
      'content-type': kind === 'svg' ? 'image/svg+xml' : 'application/dxf',
      'content-disposition': `attachment; filename="marks-${ticket}-${from}.${kind}"`,
    },
  });
});

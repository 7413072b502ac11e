import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { problem } from '@/server/problem';
import { jobView } from '@/server/views';

/** One job as the bench shows it; asked again when something changed. */
export const GET = route('GET /api/jobs/[ticket]', async (_request, viewer, { ticket = '' }) => {
  const job = await jobView(viewer, ticket.slice(0, 40));
  return job ? Response.json(job) : problem([issue('job-unknown')]);
});

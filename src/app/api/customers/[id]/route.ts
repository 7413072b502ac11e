import { z } from 'zod';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { customerPage } from '@/server/customers';
import { problem } from '@/server/problem';

/** `below`: pieces of orders with a smaller number only. */
export const GET = route('GET /api/customers/[id]', async ({ nextUrl }, viewer, { id = '' }) => {
  const below = /^\d{1,9}$/.exec(nextUrl.searchParams.get('below') ?? '')?.[0];
  const page = z.uuid().safeParse(id).success
    ? await customerPage(viewer, id, below === undefined ? null : Number(below))
    : undefined;
  return page ? Response.json(page) : problem([issue('path-unknown', { path: id.slice(0, 40) })]);
});

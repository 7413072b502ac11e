import type { NextRequest } from 'next/server';
import { issue } from '@/core/issue';
import { openRoute } from '@/server/access';
import { problem } from '@/server/problem';

/** What is asked for at no path there is gets the same kind of answer as everything else here. */
const nothing = async (request: NextRequest): Promise<Response> =>
  problem([issue('path-unknown', { path: request.nextUrl.pathname.slice(0, 120) })]);
export const GET = openRoute('GET /api/v1/[...rest]', nothing);
export const POST = openRoute('POST /api/v1/[...rest]', nothing);
export const PUT = openRoute('PUT /api/v1/[...rest]', nothing);
export const PATCH = openRoute('PATCH /api/v1/[...rest]', nothing);
export const DELETE = openRoute('DELETE /api/v1/[...rest]', nothing);

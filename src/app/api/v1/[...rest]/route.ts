import type { NextRequest } from 'next/server';
import { issue } from '@/core/issue';
import { problem } from '@/server/http';

/** What is asked for at no path there is gets the same kind of answer as everything else here. */
const nothing = (request: NextRequest): Response =>
  problem([issue('path-unknown', { path: request.nextUrl.pathname.slice(0, 120) })]);
export { nothing as DELETE, nothing as GET, nothing as PATCH, nothing as POST, nothing as PUT };

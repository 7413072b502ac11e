import { openApi } from '@/server/open';

export function GET(): Response {
  return Response.json(openApi());
}

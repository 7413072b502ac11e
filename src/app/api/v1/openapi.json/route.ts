import { openRoute } from '@/server/access';
import { openApi } from '@/server/public-api';

export const GET = openRoute('GET /api/v1/openapi.json', async () => Response.json(openApi()));

import { z } from 'zod';
import { LARGEST_PHOTO } from '@/contract/limits';
import { photoHash } from '@/core/custody/record-schema';
import { issue } from '@/core/issue';
import { route } from '@/server/access';
import { schemaIssues } from '@/server/door';
import { readBytes, readJson } from '@/server/http';
import type { KeptPhoto } from '@/server/photos';
import { problem } from '@/server/problem';

const answer = ({ hash, width, height }: KeptPhoto) => Response.json({ hash, width, height });

/** The body is the photo itself. It is used by nobody until a record names it. */
export const POST = route(
  'POST /api/photos',
  async (request, { app }) => {
    const bytes = await readBytes(request, LARGEST_PHOTO);
    if (bytes === undefined) return problem([issue('photo-large', { most: LARGEST_PHOTO / 1e6 })]);
    const kept = await app.photos.keep(bytes);
    return kept.ok ? answer(kept.value) : problem(kept.issues);
  },
  'upload',
);

const LARGEST_EDIT = 2000;
/** A part of it and no more, but for what a browser rounds. */
const WHOLE = 1.001;
const share = z.number().min(0).max(1);
const editSchema = z.strictObject({
  hash: photoHash,
  turn: z.number().min(-360).max(360),
  crop: z
    .strictObject({ x: share, y: share, w: share.positive(), h: share.positive() })
    .refine(({ x, y, w, h }) => x + w <= WHOLE && y + h <= WHOLE, 'crop-beyond'),
});
/** A kept photo turned and cropped: another photo. */
export const PUT = route('PUT /api/photos', async (request, { app }) => {
  const body = await readJson(request, LARGEST_EDIT);
  if ('refusal' in body) return body.refusal;
  const read = editSchema.safeParse(body.value);
  if (!read.success) return problem(schemaIssues(read.error.issues));
  const made = await app.photos.edit(read.data);
  return made.ok ? answer(made.value) : problem(made.issues);
});

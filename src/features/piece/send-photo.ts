/** Sends a photo to be kept, and has a kept one turned and cropped. */
import { LARGEST_PHOTO } from '@/contract/limits';
import { type Sent, ask } from '@/ui/send';

export interface Kept {
  readonly hash: string;
  readonly width: number;
  readonly height: number;
}
export const sendPhoto = async (file: Blob): Promise<Sent<Kept>> =>
  file.size > LARGEST_PHOTO
    ? { ok: false, issues: [{ code: 'photo-large', figures: { most: LARGEST_PHOTO / 1e6 } }] }
    : ask<Kept>('/api/photos', { method: 'POST', headers: { 'x-lopren-upload': '1' }, body: file });

export interface Edit {
  readonly hash: string;
  readonly turn: number;
  readonly crop: { readonly x: number; readonly y: number; readonly w: number; readonly h: number };
}
export const editPhoto = (edit: Edit): Promise<Sent<Kept>> =>
  ask<Kept>('/api/photos', {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(edit),
  });

export const photoUrl = (hash: string, size: 'small' | 'full' = 'small') => `/api/photos/${hash}?size=${size}`;

'use client';
import { memo } from 'react';
import { fall } from '@/core/drawing/profile';
import type { Moulding } from '@/core/materials';

/** The profile as seen at the cut end, at one scale for all, so that wide looks wide. */
export const ProfileMark = memo(function ProfileMark({ moulding, size = 34 }: { moulding: Moulding; size?: number }) {
  const face = Math.min(1, moulding.faceWidth / 20_000) * size;
  const tall = Math.min(1, moulding.height / 20_000) * size;
  const lip = ((moulding.height - moulding.rabbetDepth) / moulding.height) * tall;
  const rabbet = (moulding.rabbetWidth / moulding.faceWidth) * face;
  const steps = Array.from({ length: 17 }, (_, k) => k / 16);
  const top = (t: number) => size - tall + fall(moulding.profile, t) * lip;
  const bottom = (t: number) => (face * t > face - rabbet ? size - tall + lip : size);
  const line = (height: (t: number) => number, ts: readonly number[]) =>
    ts.map((t) => `${(t * face).toFixed(2)},${height(t).toFixed(2)}`).join('L');
  const path = `M${line(top, steps)}L${line(bottom, [...steps].reverse())}Z`;
  return (
    <svg width={size} height={size} aria-hidden="true">
      <path d={path} fill={moulding.colour} stroke="var(--ink)" strokeWidth="0.7" />
    </svg>
  );
});

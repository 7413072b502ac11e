'use client';
/** A colour picked from a photo, on this screen alone: the photo is sent nowhere. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { type MouseEvent, useRef, useState } from 'react';
import type { Issue } from '@/core/issue';
import { FileButton } from '@/ui/file-button';
import { Trouble } from '@/ui/trouble';
import { PIECE_PAGE } from '@/words/screens/record';
import { WALL } from '@/words/screens/wall';
import styles from './wall.module.css';

const MOST = { w: 640, h: 420 } as const;
/** Pixels each way that are taken together, so that one speck decides nothing. */
const AROUND = 4;

/** The mean colour round a place of a picture, as `#rrggbb`. */
export function meanColour(
  { data, width, height }: Pick<ImageData, 'data' | 'width' | 'height'>,
  x: number,
  y: number,
): string {
  const sum = [0, 0, 0];
  let count = 0;
  for (let py = Math.max(0, y - AROUND); py <= Math.min(height - 1, y + AROUND); py += 1)
    for (let px = Math.max(0, x - AROUND); px <= Math.min(width - 1, x + AROUND); px += 1) {
      for (const part of [0, 1, 2]) sum[part]! += data[(py * width + px) * 4 + part]!;
      count += 1;
    }
  return `#${sum
    .map((part) =>
      Math.round(part / Math.max(1, count))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

export function PhotoColour({ onPick, onClose }: { onPick: (colour: string) => void; onClose: () => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [shown, setShown] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const take = async (file: File) => {
    setIssues([]);
    const picture = await createImageBitmap(file).catch(() => undefined);
    const field = canvas.current;
    if (!picture || !field) return setIssues([{ code: 'photo-kind', figures: {} }]);
    const scale = Math.min(1, MOST.w / picture.width, MOST.h / picture.height);
    field.width = Math.max(1, Math.round(picture.width * scale));
    field.height = Math.max(1, Math.round(picture.height * scale));
    field.getContext('2d')?.drawImage(picture, 0, 0, field.width, field.height);
    setShown(true);
  };
  const pick = (event: MouseEvent<HTMLCanvasElement>) => {
    const field = event.currentTarget;
    const box = field.getBoundingClientRect();
    const whole = field.getContext('2d')?.getImageData(0, 0, field.width, field.height);
    if (!whole) return;
    const at = (value: number, size: number) => Math.min(size - 1, Math.max(0, Math.floor(value * size)));
    onPick(
      meanColour(
        whole,
        at((event.clientX - box.left) / box.width, field.width),
        at((event.clientY - box.top) / box.height, field.height),
      ),
    );
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="wall-photo">
      <div className={styles.photo}>
        <h2 id="wall-photo">{shown ? WALL.pick : WALL.fromPhoto}</h2>
        <canvas ref={canvas} hidden={!shown} onClick={pick} aria-label={WALL.pick} />
        <Trouble issues={issues} />
        <div className={styles.bar}>
          <FileButton label={WALL.fromPhoto} accept="image/*" onFile={(file) => void take(file)}>
            {PIECE_PAGE.choose}
          </FileButton>
          <Button variant="outlined" onClick={onClose}>
            {PIECE_PAGE.leave}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

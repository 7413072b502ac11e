'use client';
/** A photo turned until it is level, and cut to the piece. Done on the server, from the file as it is kept. */
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useState } from 'react';
import ReactCrop, { type PercentCrop } from 'react-image-crop';
import 'react-image-crop/dist/ReactCrop.css';
import type { Issue } from '@/core/issue';
import { Trouble } from '@/ui/trouble';
import { PIECE_PAGE } from '@/words/screens/record';
import styles from './piece.module.css';
import { editPhoto, photoUrl } from './send-photo';

const MOST_DEGREES = 15;
const STEP = 0.1;
const QUARTER = 90;
const WHOLE: PercentCrop = { unit: '%', x: 0, y: 0, width: 100, height: 100 };
const share = (percent: number) => Math.min(1, Math.max(0, percent / 100));

interface Props {
  readonly hash: string;
  readonly onDone: (hash: string) => void;
  readonly onClose: () => void;
}

export function Straighten({ hash, onDone, onClose }: Props) {
  const [crop, setCrop] = useState<PercentCrop>(WHOLE);
  const [degrees, setDegrees] = useState(0);
  const [from, setFrom] = useState(hash);
  const [busy, setBusy] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const edit = async (turn: number, part: PercentCrop) => {
    setBusy(true);
    const answer = await editPhoto({
      hash: from,
      turn,
      crop: { x: share(part.x), y: share(part.y), w: share(part.width), h: share(part.height) },
    });
    setBusy(false);
    setIssues(answer.ok ? [] : answer.issues);
    return answer.ok ? answer.value.hash : undefined;
  };
  const quarter = async () => {
    const made = await edit(QUARTER, WHOLE);
    if (made === undefined) return;
    setFrom(made);
    setCrop(WHOLE);
  };
  const take = async () => {
    const untouched = degrees === 0 && crop.width === 100 && crop.height === 100;
    const made = untouched ? from : await edit(degrees, crop);
    if (made !== undefined) onDone(made);
  };
  return (
    <>
      <div className={styles.stage}>
        <ReactCrop
          crop={crop}
          onChange={(_pixels, percent) => setCrop(percent.width > 0 && percent.height > 0 ? percent : WHOLE)}
          className={styles.framed ?? ''}
          ruleOfThirds
        >
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img src={photoUrl(from, 'full')} alt={PIECE_PAGE.crop} style={{ transform: `rotate(${degrees}deg)` }} />
        </ReactCrop>
      </div>
      <div className={styles.tools}>
        <Button variant="text" disabled={busy} onClick={() => void quarter()}>
          {PIECE_PAGE.quarter}
        </Button>
        <span id="turn-by">{PIECE_PAGE.turn}</span>
        <Slider
          className={styles.turn ?? ''}
          size="small"
          min={-MOST_DEGREES}
          max={MOST_DEGREES}
          step={STEP}
          value={degrees}
          aria-labelledby="turn-by"
          onChange={(_event, to) => setDegrees(to as number)}
        />
        <output>{PIECE_PAGE.degrees(degrees.toFixed(1))}</output>
        <Button variant="outlined" disabled={busy} onClick={onClose}>
          {PIECE_PAGE.leave}
        </Button>
        <Button variant="contained" disabled={busy} onClick={() => void take()}>
          {PIECE_PAGE.take}
        </Button>
      </div>
      <Trouble issues={issues} />
    </>
  );
}

'use client';
/** The photos of a piece: sent by dropping, pasting, choosing or taking them; one is large, with the marks on it. */
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import { type DragEvent, type MouseEvent, useCallback, useEffect, useState } from 'react';
import { type PieceRecord, SIDES, type Side, withPhotoChanged, withoutPhoto } from '@/core/custody/record';
import type { Issue } from '@/core/issue';
import { Choice } from '@/ui/choice';
import { FileButton } from '@/ui/file-button';
import { Trouble } from '@/ui/trouble';
import { FAULT_NAMES } from '@/words/screens/care';
import { PIECE_PAGE, SIDE_NAMES } from '@/words/screens/record';
import styles from './piece.module.css';
import { photoUrl, sendPhoto } from './send-photo';
import { patient } from '@/ui/patient';

const Straighten = dynamic(() => patient(() => import('./straighten')).then((file) => file.Straighten), {
  loading: () => null,
});

type Change = (make: (record: PieceRecord) => PieceRecord) => void;
const READS = 'image/jpeg,image/png,image/webp,image/avif,image/tiff,image/gif,image/*';

/** The first photo shows the front, the second the back, the others details, until somebody says otherwise. */
const sideFor = (record: PieceRecord): Side => SIDES[Math.min(record.photos.length, SIDES.length - 1)]!;

export const addPhoto = (record: PieceRecord, hash: string): PieceRecord =>
  record.photos.some((photo) => photo.hash === hash)
    ? record
    : { ...record, photos: [...record.photos, { hash, side: sideFor(record) }] };

/** Sends files one after the other; the record knows each as soon as it is kept. */
function useSending(change: Change, onSent: (hash: string) => void) {
  const [sending, setSending] = useState<string>();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const send = useCallback(
    async (files: readonly File[]) => {
      setIssues([]);
      for (const file of files) {
        setSending(file.name);
        const answer = await sendPhoto(file);
        if (!answer.ok) {
          setIssues(answer.issues);
          break;
        }
        change((record) => addPhoto(record, answer.value.hash));
        onSent(answer.value.hash);
      }
      setSending(undefined);
    },
    [change, onSent],
  );
  return { sending, issues, send };
}

interface StageProps {
  readonly record: PieceRecord;
  readonly hash: string;
  readonly chosen: number | undefined;
  readonly onMark: (at: { hash: string; x: number; y: number }) => void;
  readonly onChoose: (number: number) => void;
}
/** The photo with its marks; a press where there is none makes one. */
function Stage({ record, hash, chosen, onMark, onChoose }: StageProps) {
  const photo = record.photos.find((one) => one.hash === hash)!;
  const press = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 1e4) / 1e4;
    onMark({
      hash,
      x: share((event.clientX - box.left) / box.width),
      y: share((event.clientY - box.top) / box.height),
    });
  };
  return (
    <div className={styles.stage}>
      <span className={styles.framed} onClick={press}>
        {/* The shop's own file, as large as it is kept; there is nothing to optimise. */}
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img
          key={hash}
          src={photoUrl(hash, 'full')}
          alt={PIECE_PAGE.photoOf(SIDE_NAMES[photo.side], record.photos.indexOf(photo) + 1)}
          draggable={false}
        />
        {record.faults.map(
          ({ number, kind, at }) =>
            at?.hash === hash && (
              <button
                key={number}
                type="button"
                className={styles.mark}
                style={{ left: `${at.x * 100}%`, top: `${at.y * 100}%` }}
                aria-label={PIECE_PAGE.mark1(number, FAULT_NAMES[kind])}
                aria-pressed={number === chosen}
                onClick={(event) => {
                  event.stopPropagation();
                  onChoose(number);
                }}
              >
                {number}
              </button>
            ),
        )}
      </span>
    </div>
  );
}

interface Props {
  readonly record: PieceRecord;
  readonly change: Change;
  readonly chosen: number | undefined;
  readonly onMark: StageProps['onMark'];
  readonly onChoose: (number: number) => void;
}

export function Photos({ record, change, chosen, onMark, onChoose }: Props) {
  const [shown, setShown] = useState<string>();
  const [straightening, setStraightening] = useState(false);
  const { sending, issues, send } = useSending(change, setShown);
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length > 0) void send(files);
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  }, [send]);
  const photo = record.photos.find(({ hash }) => hash === shown) ?? record.photos[0];
  const drop = (event: DragEvent) => {
    event.preventDefault();
    void send([...event.dataTransfer.files]);
  };
  return (
    <section
      className={styles.photos}
      aria-label={PIECE_PAGE.photos}
      onDragOver={(event) => event.preventDefault()}
      onDrop={drop}
    >
      {photo && straightening ? (
        <Straighten
          hash={photo.hash}
          onClose={() => setStraightening(false)}
          onDone={(made) => {
            setStraightening(false);
            change((before) => withPhotoChanged(before, photo.hash, made));
            setShown(made);
          }}
        />
      ) : photo ? (
        <Stage record={record} hash={photo.hash} chosen={chosen} onMark={onMark} onChoose={onChoose} />
      ) : (
        <div className={styles.stage}>
          <p className={styles.empty}>{PIECE_PAGE.noPhoto}</p>
        </div>
      )}
      {photo && !straightening && (
        <div className={styles.tools}>
          <Choice
            label={PIECE_PAGE.side}
            value={photo.side}
            options={SIDES.map((side) => [side, SIDE_NAMES[side]] as const)}
            onChange={(side) =>
              change((before) => ({
                ...before,
                photos: before.photos.map((one) => (one.hash === photo.hash ? { ...one, side } : one)),
              }))
            }
          />
          <Button variant="text" onClick={() => setStraightening(true)}>
            {PIECE_PAGE.straighten}
          </Button>
          {record.photos[0] !== photo && (
            <Button
              variant="text"
              onClick={() =>
                change((before) => ({
                  ...before,
                  photos: [photo, ...before.photos.filter(({ hash }) => hash !== photo.hash)],
                }))
              }
            >
              {PIECE_PAGE.first}
            </Button>
          )}
          <Button variant="text" onClick={() => change((before) => withoutPhoto(before, photo.hash))}>
            {PIECE_PAGE.remove}
          </Button>
          <span className="soft">{PIECE_PAGE.mark}</span>
        </div>
      )}
      <div className={styles.strip}>
        {record.photos.map(({ hash, side }, index) => (
          <ButtonBase
            key={hash}
            aria-label={PIECE_PAGE.photoOf(SIDE_NAMES[side], index + 1)}
            aria-pressed={hash === photo?.hash}
            onClick={() => {
              setStraightening(false);
              setShown(hash);
            }}
          >
            {/* eslint-disable-next-line @next/next/no-img-element */}
            <img src={photoUrl(hash)} alt="" />
          </ButtonBase>
        ))}
        <p className={styles.send}>
          {sending === undefined ? (
            <>
              <span>{PIECE_PAGE.drop}</span>
              <FileButton label={PIECE_PAGE.choose} accept={READS} several onFiles={(files) => void send(files)}>
                {PIECE_PAGE.choose}
              </FileButton>
              <FileButton label={PIECE_PAGE.camera} accept="image/*" camera onFiles={(files) => void send(files)}>
                {PIECE_PAGE.camera}
              </FileButton>
            </>
          ) : (
            <span role="status">{PIECE_PAGE.sending(sending)}</span>
          )}
        </p>
      </div>
      <Trouble issues={issues} />
    </section>
  );
}

'use client';
/** The pieces of one material, each drawn to the scale of all. */
import Button from '@mui/material/Button';
import type { RackPieceView } from '@/contract/views';
import { minus, toMm } from '@/core/units/length';
import { Len } from '@/ui/figures';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { RACK } from '@/words/screens/rack';
import styles from './rack.module.css';
import { ORIGIN_NAMES } from './words';

const WIDE = 420;
const SHEET_HIGH = 44;
const WOOD = '#efe6d2';
/** The longest stick and the longest side of a sheet on the rack, in millimetres. */
export type Longest = Readonly<Record<'stick' | 'sheet', number>>;

/** A piece to scale: a stick as a thin bar with its dents, a sheet as it stands. */
function Drawn({ piece, longest }: { piece: RackPieceView; longest: number }) {
  const sheet = piece.kind === 'sheet';
  const scale = (sheet ? SHEET_HIGH : WIDE) / longest;
  const high = sheet ? toMm(piece.height!) * scale : 13;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${Math.max(14, high + 1)}`}
      style={{ width: '100%', maxWidth: WIDE }}
      role="img"
      aria-label={RACK.toScale(piece.code)}
    >
      <rect x={0.5} y={0.5} width={toMm(piece.length) * scale} height={high} fill={WOOD} stroke="var(--ink)" />
      {piece.noGo.map(({ from, to }) => (
        <rect
          key={from}
          x={toMm(from) * scale}
          y={0.5}
          width={Math.max(2, toMm(minus(to, from)) * scale)}
          height={high}
          fill="var(--refuse)"
        />
      ))}
    </svg>
  );
}

function Size({ piece }: { piece: RackPieceView }) {
  if (piece.height === null) return <Len value={piece.length} fine />;
  return (
    <>
      <Len value={piece.length} bare fine /> × <Len value={piece.height} fine />
    </>
  );
}

interface Props {
  readonly name: string;
  readonly pieces: readonly RackPieceView[];
  readonly longest: Longest;
  readonly onEdit: (piece: RackPieceView) => void;
}

export function RackTable({ name, pieces, longest, onEdit }: Props) {
  return (
    <SheetTable label={name} columns={RACK.columns} bare>
      {pieces.map((piece) => (
        <Row key={piece.id}>
          <Cell>
            <b>{piece.code}</b>
          </Cell>
          <Cell className={styles.drawn}>
            <Drawn piece={piece} longest={longest[piece.kind]} />
          </Cell>
          <Cell num>
            <Size piece={piece} />
          </Cell>
          <Cell className={styles.batch}>{piece.batch && <span className="soft">{RACK.batch(piece.batch)}</span>}</Cell>
          <Cell>{piece.place || <span className="soft">{RACK.noPlace}</span>}</Cell>
          <Cell className={`soft ${styles.from}`}>
            {[ORIGIN_NAMES[piece.origin], piece.note].filter(Boolean).join(', ')}
          </Cell>
          <Cell className={styles.acts}>
            <Button variant="text" onClick={() => onEdit(piece)} aria-label={RACK.changeThis(piece.code)}>
              {RACK.change}
            </Button>
            <Button
              variant="text"
              href={`/papers/rack-label/${piece.code}`}
              target="_blank"
              rel="noreferrer"
              aria-label={RACK.labelOf(piece.code)}
            >
              {RACK.label}
            </Button>
          </Cell>
        </Row>
      ))}
    </SheetTable>
  );
}

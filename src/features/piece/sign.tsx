'use client';
/** Signing for what is written down: drawn here with a finger or a pen, or on the printed receipt. */
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import SignaturePad from 'signature_pad';
import type { Stroke } from '@/core/custody/record';
import { Field, Form, useCommandForm } from '@/ui/form';
import { PIECE_PAGE } from '@/words/screens/record';
import styles from './piece.module.css';

const THOUSAND = 1000;
const PEN = '#20272b';

/** Strokes as thousandths of the field's width, whatever its size on this screen. */
function strokesOf(pad: SignaturePad, width: number): Stroke[] {
  const part = (value: number) => Math.min(THOUSAND, Math.max(0, Math.round((value / width) * THOUSAND)));
  return pad.toData().map(({ points }) => points.map(({ x, y }): [number, number] => [part(x), part(y)]));
}

interface Props {
  readonly pieceId: string;
  readonly revision: number;
  readonly customer: string;
  readonly value: number | null;
  readonly onDone: () => void;
}

export function Sign({ pieceId, revision, customer, value, onDone }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<SignaturePad | undefined>(undefined);
  const [drawn, setDrawn] = useState(false);
  const [onPaper, setOnPaper] = useState(false);
  useEffect(() => {
    const field = canvas.current;
    const context = field?.getContext('2d');
    // Where nothing can be drawn, it is signed on paper.
    if (!field || !context) return undefined;
    const scale = window.devicePixelRatio;
    field.width = field.offsetWidth * scale;
    field.height = field.offsetHeight * scale;
    context.scale(scale, scale);
    const made = new SignaturePad(field, { penColor: PEN });
    made.addEventListener('endStroke', () => setDrawn(true));
    pad.current = made;
    return () => made.off();
  }, []);
  const of = useCommandForm('sign-record', {
    values: { name: customer },
    payload: ({ name }) => ({
      pieceId,
      revision,
      name,
      value,
      strokes: onPaper || !pad.current ? null : strokesOf(pad.current, canvas.current!.offsetWidth),
    }),
    onDone,
  });
  const named = of.form.watch('name').trim() !== '';
  return (
    <Form of={of} className={styles.sign}>
      <canvas ref={canvas} className={styles.pad} aria-label={PIECE_PAGE.signHere} role="img" />
      <Field name="name" label={PIECE_PAGE.signBy} most={120} />
      <div className={styles.line}>
        <Button
          variant="text"
          disabled={!drawn}
          onClick={() => {
            pad.current?.clear();
            setDrawn(false);
          }}
        >
          {PIECE_PAGE.clear}
        </Button>
        <Button type="submit" variant="outlined" disabled={of.busy || !named} onClick={() => setOnPaper(true)}>
          {PIECE_PAGE.signPaper}
        </Button>
        <Button
          type="submit"
          variant="contained"
          disabled={of.busy || !named || !drawn}
          onClick={() => setOnPaper(false)}
        >
          {PIECE_PAGE.sign}
        </Button>
      </div>
    </Form>
  );
}

'use client';
/** What could be said for another design: each with its reason and what it would cost; a click adds it to those compared. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useEffect, useMemo, useState } from 'react';
import type { ShopView } from '@/contract/views';
import { adviceFor } from '@/core/design/advice';
import { roomFor, withMore } from '@/core/design/candidates';
import { palette } from '@/core/design/colours';
import type { Design } from '@/core/design/design';
import { catalogueOf } from '@/core/materials';
import { defaultSettings } from '@/core/settings';
import { type Money, formatMoney } from '@/core/units/money';
import { ADVICE, ADVICE_SAYS } from '@/words/screens/advice';
import styles from './compare.module.css';
import type { Desk } from './use-desk';

const MOST_COLOURS = 4;
/** A photo is looked at this small: its colours, not its lines. */
const LOOKED_AT = 72;

/** The colours of the piece's photo; none while it is on its way, or without one. */
function useColours(photo: string | undefined): readonly string[] {
  const [found, setFound] = useState<{ of: string; colours: readonly string[] }>();
  useEffect(() => {
    if (photo === undefined) return undefined;
    let there = true;
    const image = new Image();
    image.onload = () => {
      const canvas = document.createElement('canvas');
      canvas.width = LOOKED_AT;
      canvas.height = LOOKED_AT;
      const context = canvas.getContext('2d');
      if (!there || !context) return;
      context.drawImage(image, 0, 0, LOOKED_AT, LOOKED_AT);
      const { data } = context.getImageData(0, 0, LOOKED_AT, LOOKED_AT);
      setFound({ of: photo, colours: palette(data, MOST_COLOURS) });
    };
    image.src = `/api/photos/${photo}?size=small`;
    return () => {
      there = false;
    };
  }, [photo]);
  return useMemo(() => (found && found.of === photo ? found.colours : []), [found, photo]);
}

const differenceText = (difference: number): string => {
  if (difference === 0) return ADVICE.same;
  const amount = formatMoney(Math.abs(difference) as Money);
  return difference > 0 ? ADVICE.more(amount) : ADVICE.less(amount);
};

interface Props {
  readonly desk: Desk;
  readonly shop: ShopView;
  readonly photo: string | undefined;
  readonly onClose: () => void;
}

export function AdviceDialog({ desk, shop, photo, onClose }: Props) {
  const { piece, work, choosing } = desk;
  const { design } = piece;
  const colours = useColours(photo);
  const advice = useMemo(() => {
    const price = (one: Design) => {
      const { worked, issues } = work({ id: `${piece.id}:advice`, design: one, typed: {} });
      return issues.length === 0 ? worked : undefined;
    };
    return adviceFor(design, catalogueOf(shop.lists), defaultSettings(shop.homeUnit), price, colours);
  }, [design, shop, work, piece.id, colours]);
  const full = roomFor(piece) === 0;
  return (
    <Dialog open onClose={onClose} aria-labelledby="advice-head">
      <div className={styles.vary}>
        <h2 id="advice-head">{ADVICE.head}</h2>
        {advice.length === 0 && <p>{ADVICE.none}</p>}
        <ul className={styles.advice}>
          {advice.map(({ code, figures, design: other, difference }, index) => {
            const [what, why] = ADVICE_SAYS[code];
            return (
              <li key={index}>
                <div>
                  <b>
                    {figures.colour && <i style={{ background: figures.colour }} aria-hidden="true" />}
                    {[what, figures.name].filter(Boolean).join(': ')}
                  </b>{' '}
                  <span className="num">{differenceText(difference)}</span>
                  <p className="soft">{why}</p>
                </div>
                <Button
                  variant="outlined"
                  disabled={full}
                  title={full ? ADVICE.full : ''}
                  onClick={() => choosing((one) => withMore(one, [other]))}
                >
                  {ADVICE.add}
                </Button>
              </li>
            );
          })}
        </ul>
        <div className={styles.end}>
          <span>{full ? ADVICE.full : ''}</span>
          <Button variant="outlined" autoFocus onClick={onClose}>
            {ADVICE.close}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

'use client';
/** The screen that faces the customer: the piece that is spoken of, large, with its designs; the others and the sum below. */
import Button from '@mui/material/Button';
import type { ShownPiece, ShownView } from '@/contract/shown-view';
import { Cash, FractionText } from '@/ui/figures';
import { FlatScene } from '@/ui/flat-scene';
import { useView } from '@/ui/query';
import { useBox } from '@/ui/scene-svg';
import { dayName } from '@/words/materials';
import { SHOWN } from '@/words/screens/shown';
import styles from './view.module.css';

const WORDS_TALL = 150;
const BESIDE = 40;

function Designs({ piece: { designs, title }, photosAt }: { piece: ShownPiece; photosAt: string }) {
  const [ref, box] = useBox<HTMLUListElement>({ width: 1200, height: 560 });
  const widest = box.width / Math.max(1, designs.length) - BESIDE;
  // All to one scale, so that they can be compared.
  const scale = Math.min(
    ...designs.map(({ scene }) => Math.min(widest / scene.width, (box.height - WORDS_TALL) / scene.height)),
  );
  return (
    <ul ref={ref} className={styles.designs}>
      {designs.length === 0 && <li className={styles.notYet}>{SHOWN.notYet}</li>}
      {scale > 0 &&
        designs.map(({ letter, chosen, scene, price, made, told }) => (
          <li key={letter} data-chosen={chosen && designs.length > 1}>
            <FlatScene
              scene={scene}
              scale={scale}
              label={SHOWN.picture(letter, title || SHOWN.untitled)}
              name={`shown-${letter}`}
              photosAt={photosAt}
            />
            <p className={styles.price}>
              {designs.length > 1 && <i>{letter}</i>}
              {price === null ? SHOWN.askPrice : <Cash value={price} />}
            </p>
            <p>
              <FractionText text={made} />
            </p>
            {designs.length < 3 && (
              <p className="soft">
                <FractionText text={told} />
              </p>
            )}
          </li>
        ))}
    </ul>
  );
}

interface Props {
  readonly first: ShownView;
  readonly screen: string;
  /** The name of the screen, where one signed in and could want to sign out. */
  readonly device: string | undefined;
}

export function ShownScreen({ first, screen, device }: Props) {
  const at = `/api/view/${screen}`;
  const { view } = useView<ShownView>(at, first, ['shown']);
  const { shop, order } = view;
  const here = order?.pieces.find((piece) => piece.here);
  const leave = () => void fetch('/api/session', { method: 'DELETE' }).then(() => window.location.assign('/sign-in'));
  return (
    <main className={styles.screen}>
      <header>
        <b>{shop.name}</b>
        {order && (
          <span>
            {order.number === null ? SHOWN.yours : SHOWN.order(order.number)}
            {order.agreed && `, ${SHOWN.agreed.toLowerCase()}`}
          </span>
        )}
      </header>
      {!order || !here ? (
        <h1 className={styles.idle}>{SHOWN.idle}</h1>
      ) : (
        <>
          <section className={styles.piece}>
            <h1>{here.title || SHOWN.yours}</h1>
            <Designs key={here.id} piece={here} photosAt={at} />
          </section>
          <footer>
            <ol className={styles.pieces}>
              {order.pieces.length > 1 &&
                order.pieces.map(({ id, title, price, here: spoken }, index) => (
                  <li key={id} aria-current={spoken ? 'true' : undefined}>
                    {title || SHOWN.piece(index + 1)}
                    <span className="num">{price === null ? '—' : <Cash value={price} />}</span>
                  </li>
                ))}
            </ol>
            <p>{SHOWN.readyBy(dayName(order.promised))}</p>
            {order.price && (
              <dl className={styles.sum}>
                {order.price.tax.map(({ percent, amount }) => (
                  <div key={percent}>
                    <dt>{SHOWN.tax(percent, order.price!.contained)}</dt>
                    <dd className="num">
                      <Cash value={amount} />
                    </dd>
                  </div>
                ))}
                <div data-total="true">
                  <dt>{[SHOWN.total, shop.currency].filter(Boolean).join(', ')}</dt>
                  <dd className="num">
                    <Cash value={order.price.total} />
                  </dd>
                </div>
                {!order.agreed && (
                  <div>
                    <dt>{SHOWN.deposit}</dt>
                    <dd className="num">
                      <Cash value={order.price.deposit} />
                    </dd>
                  </div>
                )}
              </dl>
            )}
          </footer>
        </>
      )}
      {device !== undefined && (
        <p className={styles.device}>
          {device}{' '}
          <Button variant="text" size="small" onClick={leave}>
            {SHOWN.signOut}
          </Button>
        </p>
      )}
    </main>
  );
}

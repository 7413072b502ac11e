/**
 * The page of a link: what is offered, chosen and agreed. Everything on it is read and done without a script, so it is
 * made on the server only, and its forms go to the route of the link.
 */
import type { OfferView, OfferedDesign } from '@/contract/link-views';
import { LONGEST_QUESTION } from '@/core/links/link';
import { formatMoney } from '@/core/units/money';
import { FractionText } from '@/ui/figures';
import { sceneMarkup } from '@/ui/scene-markup';
import { dayName } from '@/words/materials';
import { LINK, sayRefused } from '@/words/screens/link';
import styles from './link.module.css';

const cash = (amount: number) => formatMoney(amount as never);
const dayOf = (moment: string) => dayName(moment.slice(0, 10));
const LONGEST_NAME = 120;

interface Props {
  readonly view: OfferView;
  readonly token: string;
  /** Why what was asked last was not done, and what was typed with it. */
  readonly said: string | undefined;
  readonly name: string;
  readonly question: string;
}

/** The largest a picture may be, in px; all are drawn to one scale, so that they can be compared. */
const WIDEST = 230;
const TALLEST = 260;
const scaleOf = ({ pieces }: OfferView): number =>
  Math.min(
    ...pieces.flatMap(({ designs }) =>
      designs.map(({ scene }) => Math.min(WIDEST / scene.width, TALLEST / scene.height)),
    ),
  );

interface DesignProps {
  readonly design: OfferedDesign;
  readonly id: string;
  readonly title: string;
  readonly only: boolean;
  readonly scale: number;
  readonly open: boolean;
  readonly revision: number;
  readonly action: string;
}
function Design({ design, id, title, only, scale, open, revision, action }: DesignProps) {
  const { letter, chosen, made, told, price, lines, not, scene } = design;
  const [w, h] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
  return (
    <li className={styles.design} data-chosen={chosen && !only}>
      <div className={styles.picture}>
        <svg
          viewBox={`0 0 ${w} ${h}`}
          width={w}
          height={h}
          role="img"
          aria-label={LINK.picture(letter, title)}
          overflow="visible"
          dangerouslySetInnerHTML={{
            __html: sceneMarkup(scene, scale, `${id}-${letter}`, action),
          }}
        />
      </div>
      <p className={styles.price}>
        <span>
          {!only && `${letter} `}
          {price === null ? LINK.askPrice : cash(price)}
        </span>
        {chosen && !only && <small>{LINK.chosen}</small>}
      </p>
      <p>
        <FractionText text={made} />
      </p>
      <p className={styles.told}>
        <FractionText text={told} />
      </p>
      {not.length > 0 && <p className={styles.told}>{LINK.not(not.join(', '))}</p>}
      {lines.length > 0 && (
        <details>
          <summary>{LINK.lines}</summary>
          <dl className={styles.lines}>
            {lines.map(({ name, amount }, index) => (
              <div key={index}>
                <dt>{name}</dt>
                <dd className="num">{cash(amount)}</dd>
              </div>
            ))}
          </dl>
        </details>
      )}
      {open && !only && !chosen && price !== null && (
        <form method="post" action={action}>
          <input type="hidden" name="act" value="choose" />
          <input type="hidden" name="revision" value={revision} />
          <input type="hidden" name="piece" value={id} />
          <input type="hidden" name="letter" value={letter} />
          <button type="submit">{LINK.choose(letter)}</button>
        </form>
      )}
    </li>
  );
}

function Sum({ view: { price, pieces, state, paid, shop } }: { view: OfferView }) {
  if (!price) return null;
  return (
    <section>
      <h2>{LINK.sum}</h2>
      <dl className={styles.sum}>
        {pieces.length > 1 && (
          <div>
            <dt>{LINK.pieces}</dt>
            <dd className="num">{cash(price.pieces)}</dd>
          </div>
        )}
        {price.tax.map(({ percent, amount }) => (
          <div key={percent}>
            <dt>{LINK.tax(percent, price.contained)}</dt>
            <dd className="num">{cash(amount)}</dd>
          </div>
        ))}
        <div data-total="true">
          <dt>{[LINK.total, shop.currency].filter(Boolean).join(', ')}</dt>
          <dd className="num">{cash(price.total)}</dd>
        </div>
        {state === 'quoted' ? (
          <div>
            <dt>{LINK.deposit}</dt>
            <dd className="num">{cash(price.deposit)}</dd>
          </div>
        ) : (
          <>
            <div>
              <dt>{LINK.paid}</dt>
              <dd className="num">{cash(paid)}</dd>
            </div>
            <div>
              <dt>{LINK.open}</dt>
              <dd className="num">{cash(Math.max(0, price.total - paid))}</dd>
            </div>
          </>
        )}
      </dl>
    </section>
  );
}

function Accept({ view, action, name }: { view: OfferView; action: string; name: string }) {
  const { price, revision } = view;
  if (!price) return null;
  return (
    <section>
      <h2>{LINK.accept}</h2>
      <form method="post" action={action} className={styles.act}>
        <p>{LINK.acceptSay(cash(price.total))}</p>
        <input type="hidden" name="act" value="accept" />
        <input type="hidden" name="revision" value={revision} />
        <input type="hidden" name="total" value={price.total} />
        <label>
          {LINK.name}
          <input name="name" autoComplete="name" required maxLength={LONGEST_NAME} defaultValue={name} />
        </label>
        <button type="submit" data-first="true">
          {LINK.acceptNow(cash(price.total))}
        </button>
      </form>
    </section>
  );
}

function Deposit({ view: { owed, agreedAt }, action }: { view: OfferView; action: string }) {
  return (
    <section>
      {agreedAt && <p className={styles.done}>{LINK.agreed(dayOf(agreedAt))}</p>}
      <h2>{LINK.pay}</h2>
      {owed > 0 ? (
        <form method="post" action={action} className={styles.act}>
          <p>{LINK.paySay(cash(owed))}</p>
          <input type="hidden" name="act" value="pay" />
          <button type="submit" data-first="true">
            {LINK.payNow(cash(owed))}
          </button>
        </form>
      ) : (
        <p>{LINK.depositThere}</p>
      )}
    </section>
  );
}

function Talk({ talk, action, question }: { talk: OfferView['talk']; action: string; question: string }) {
  const waiting = talk.at(-1)?.what === 'asked';
  return (
    <section>
      <h2>{LINK.ask}</h2>
      {talk.length > 0 && (
        <ul className={styles.talk}>
          {talk.map(({ what, text, at }, index) => (
            <li key={index} data-what={what}>
              <small>
                {what === 'asked' ? LINK.you : LINK.shop}, {dayOf(at)}
              </small>
              <p>{text}</p>
            </li>
          ))}
        </ul>
      )}
      {waiting && <p className={styles.done}>{LINK.asked}</p>}
      <form method="post" action={action} className={styles.act}>
        <input type="hidden" name="act" value="ask" />
        <label>
          {LINK.question}
          <textarea name="question" rows={3} required maxLength={LONGEST_QUESTION} defaultValue={question} />
        </label>
        <button type="submit">{LINK.askNow}</button>
      </form>
    </section>
  );
}

/** What stands above everything: until when it holds, or what became of it. */
function standingOf({ state, expired, quoteUntil, promised, pieces }: OfferView): string {
  if (state === 'cancelled') return LINK.cancelled;
  if (state === 'handed-over') return LINK.handedOver;
  if (pieces.length === 0) return LINK.gone;
  if (state === 'accepted') return LINK.promised(dayName(promised));
  if (expired) return LINK.ranOut(dayName(quoteUntil));
  return `${LINK.holds(dayName(quoteUntil))} ${LINK.promised(dayName(promised))}`;
}

export function OfferPage({ view, token, said, name, question }: Props) {
  const { shop, number, state, customer, pieces, revision, expired, unit } = view;
  const action = `/api/link/${token}`;
  const open = state === 'quoted' && !expired;
  const scale = scaleOf(view);
  return (
    <main className={styles.page}>
      <header className={styles.head}>
        <div>
          <b>{shop.name}</b>
          <address>{shop.contact}</address>
        </div>
        <div>
          <h1>{LINK.head[state]}</h1>
          <p>
            {LINK.number(number)}, {customer}
          </p>
        </div>
      </header>
      {said !== undefined && (
        <p className={styles.said} role="alert">
          {sayRefused(said)}
        </p>
      )}
      <p>{standingOf(view)}</p>
      {pieces.map(({ id, title, insists, designs }, index) => (
        <section key={id}>
          <h2>{title || LINK.piece(index + 1)}</h2>
          {insists && <p>{LINK.youAsked(insists)}</p>}
          {open && designs.length > 1 && <p className="soft">{LINK.pick}</p>}
          <ul className={styles.designs}>
            {designs.map((design) => (
              <Design
                key={design.letter}
                design={design}
                id={id}
                title={title || LINK.piece(index + 1)}
                only={designs.length === 1}
                scale={scale}
                open={open}
                revision={revision}
                action={action}
              />
            ))}
          </ul>
        </section>
      ))}
      <Sum view={view} />
      {view.terms.length > 0 && (
        <section>
          <h2>{LINK.terms}</h2>
          {view.terms.map((line, index) => (
            <p key={index} className={styles.told}>
              {line}
            </p>
          ))}
        </section>
      )}
      {open && pieces.length > 0 && <Accept view={view} action={action} name={name} />}
      {state === 'accepted' && <Deposit view={view} action={action} />}
      <Talk talk={view.talk} action={action} question={question} />
      <footer className={styles.foot}>
        <span>{LINK.foot(dayOf(view.ends))}</span>
        <a href={`/link/${token}?unit=${unit === 'in' ? 'mm' : 'in'}`}>{unit === 'in' ? LINK.mm : LINK.inches}</a>
      </footer>
    </main>
  );
}

'use client';
/** One order at the counter: where its pieces are, what was paid, what is still to be paid, and the hand-over. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { CareView, OrderView } from '@/contract/views';
import { goesOnWall } from '@/core/design/choices';
import type { Scene } from '@/core/drawing/scene';
import { weightText } from '@/core/units/weight';
import { useUnit } from '@/ui/units';
import { Cash, Len, SizeText } from '@/ui/figures';
import { SceneSvg } from '@/ui/scene-svg';
import { useView } from '@/ui/query';
import { stateName } from '@/words/states';
import { holderName, untilText } from '@/words/stations';
import { dayName } from '@/words/materials';
import { FLAG_NAMES, RECORD } from '@/words/screens/care';
import { ACCOUNT, GIVE_BACK, MONEY, PAY } from '@/words/screens/collect';
import styles from './collect.module.css';
import { Cancel } from './cancel';
import { Ledger } from './ledger';
import { Terms } from './terms';
import { TakePayment } from './take-payment';
import { patient } from '@/ui/patient';

/** How the piece may be touched, and what goes back with it. */
function Care({ care }: { care: CareView | undefined }) {
  if (!care) return null;
  const said = [
    care.apart.length > 0 && RECORD.apart(care.apart),
    care.flags.length > 0 && care.flags.map((flag) => FLAG_NAMES[flag]).join(', '),
    care.came.length > 0 && RECORD.cameAlong(care.came.join(', ')),
    care.place && RECORD.lies(care.place),
  ].filter((one) => one !== false && one !== '');
  return said.length > 0 && <p>{said.join('. ')}</p>;
}

const GiveBack = dynamic(() => patient(() => import('./give-back')).then((file) => file.GiveBack), {
  loading: () => null,
});
const HandOver = dynamic(() => patient(() => import('./hand-over')).then((file) => file.HandOver), {
  loading: () => null,
});

/** `pictures`: each piece as it was agreed, by its id; drawn by the server, since nothing of it changes. */
interface Props {
  readonly order: OrderView;
  readonly pictures: Readonly<Record<string, Scene>>;
  readonly owner?: boolean;
}
export function Account({ order: first, pictures, owner = false }: Props) {
  const { view: order } = useView(`/api/orders/${first.number}`, first, [
    `order:${first.id}`,
    `customer:${first.customer.id}`,
  ]);
  const { unit } = useUnit();
  const total = order.agreed?.total ?? 0;
  const [back, setBack] = useState(false);
  const [change, setChange] = useState(0);
  const onAccount = order.terms.days !== null && order.state === 'accepted';
  // Some of several pieces can go before the rest, when they are paid.
  const inParts = order.jobs.length > 1 && order.jobs.some(({ state }) => state === 'ready');
  const takes = order.agreed && order.state !== 'cancelled' && (order.balance > 0 || order.openCards.length > 0);
  return (
    <main className={styles.account}>
      <section className={styles.pieces}>
        <h1>
          {order.customer.name} <span className="soft">{order.customer.phone}</span>
        </h1>
        <p className="soft">
          {MONEY.orderPromisedFor(order.number, stateName(order.state).toLowerCase(), dayName(order.promised))}
        </p>
        <ul>
          {order.pieces.map((piece, index) => {
            const job = order.jobs[index];
            const picture = pictures[piece.id];
            const hanging = piece.agreed?.hanging;
            return (
              <li key={piece.id}>
                <b>{job?.ticket ?? index + 1}</b>
                {picture ? <SceneSvg scene={picture} width={104} height={104} label={ACCOUNT.picture} /> : <span />}
                <div>
                  <p className={styles.title}>{piece.design.piece.title || MONEY.untitled}</p>
                  {piece.agreed && (
                    <p className="soft">
                      <SizeText of={piece.agreed.sizes.outside ?? piece.agreed.sizes.package} /> {MONEY.outside}{' '}
                      {weightText(piece.agreed.weight.kg, unit)}
                      {hanging && (
                        <>
                          {MONEY.hook} <Len value={hanging.hookDrop} /> {MONEY.belowTheTop}
                        </>
                      )}
                    </p>
                  )}
                  <Care care={order.care[piece.id]} />
                  {piece.design.insists && <p>{MONEY.insistsOn(piece.design.insists)}</p>}
                  {job?.hold && (
                    <p className={styles.hold}>
                      {MONEY.onHold(holderName(job.hold.who), untilText(job.hold), job.hold.reason)}
                    </p>
                  )}
                  {job && (
                    <p className={styles.papers}>
                      {goesOnWall(piece.design.scope) && (
                        <a href={`/papers/wall-card/${job.ticket}`} target="_blank" rel="noreferrer">
                          {MONEY.wallCard}
                        </a>
                      )}
                      <a href={`/papers/care-card/${job.ticket}`} target="_blank" rel="noreferrer">
                        {MONEY.careCard}
                      </a>
                      <a href={`/papers/packing-list/${job.ticket}`} target="_blank" rel="noreferrer">
                        {MONEY.packingList}
                      </a>
                      <a href={`/papers/ticket/${job.ticket}`} target="_blank" rel="noreferrer">
                        {MONEY.ticket}
                      </a>
                      <a href={`/bench/${job.ticket}`}>{MONEY.atTheBench}</a>
                      <a href={`/pieces/${piece.id}`}>{RECORD.open}</a>
                    </p>
                  )}
                </div>
                <span className={styles.state} data-state={job?.state}>
                  {job ? stateName(job.state) : ''}
                </span>
              </li>
            );
          })}
        </ul>
        <div className={styles.papers}>
          <a href={`/papers/quote/${order.number}`} target="_blank" rel="noreferrer">
            {order.state === 'quoted' ? MONEY.quote : MONEY.orderOnPaper}
          </a>
          <a href={`/desk/${order.number}`}>{MONEY.atTheDesk}</a>
          <Cancel order={order} />
        </div>
      </section>
      <section className={styles.money}>
        <h2>{MONEY.money}</h2>
        <dl>
          <div>
            <dt>{MONEY.agreedWithTax}</dt>
            <dd>{order.agreed ? <Cash value={total} /> : MONEY.notAgreedYet}</dd>
          </div>
        </dl>
        <Ledger order={order} />
        <dl className={styles.balance}>
          <div>
            <dt>{order.owedBack > 0 ? MONEY.owedBackToThe : MONEY.balance}</dt>
            <dd>{order.agreed ? <Cash value={order.owedBack > 0 ? order.owedBack : order.balance} /> : '—'}</dd>
          </div>
        </dl>
        {change > 0 && (
          <p className={styles.change} role="status">
            {PAY.changeGiven} <Cash value={change} />
          </p>
        )}
        {takes && <TakePayment key={order.payments.length} order={order} balance={order.balance} onTaken={setChange} />}
        {order.state === 'accepted' &&
          order.openCards.length === 0 &&
          (order.balance === 0 || onAccount || inParts) && <HandOver order={order} />}
        {order.state === 'handed-over' && (
          <p className={styles.done}>
            {order.balance > 0 && order.due ? MONEY.handedOverOwed(dayName(order.due)) : MONEY.handedOverAndPaid}
          </p>
        )}
        {order.agreed && order.state !== 'cancelled' && <Terms order={order} owner={owner} />}
        {order.paid > 0 && (
          <div className={styles.papers}>
            <a href={`/papers/receipt/${order.number}`} target="_blank" rel="noreferrer">
              {MONEY.receipt}
            </a>
            {!back && (
              <Button variant="text" onClick={() => setBack(true)}>
                {GIVE_BACK.open}
              </Button>
            )}
          </div>
        )}
        {back && <GiveBack order={order} onClose={() => setBack(false)} />}
      </section>
    </main>
  );
}

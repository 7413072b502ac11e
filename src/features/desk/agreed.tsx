'use client';
/** An order that was agreed: as it was agreed, and where its pieces are now. Nothing can be changed here. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { useView } from '@/ui/query';
import { stateName } from '@/words/states';
import { dayName } from '@/words/materials';
import { untilText } from '@/words/stations';
import { DESK } from '@/words/screens/desk';
import { AGREED } from '@/words/screens/desk-agreed';
import { CHANGE } from '@/words/screens/desk-change';
import styles from './desk.module.css';
import { Drawings } from './drawings';
import { PieceTabs, piecePanel } from './piece-tabs';
import { Tape, Totals } from './tape';
import { patient } from '@/ui/patient';

const LinkDialog = dynamic(() => patient(() => import('./link-dialog')).then((file) => file.LinkDialog), {
  loading: () => null,
});

export function AgreedOrder({ order: first }: { order: OrderView }) {
  const { view: order } = useView(`/api/orders/${first.number}`, first, [
    `order:${first.id}`,
    `customer:${first.customer.id}`,
  ]);
  const [active, setActive] = useState(0);
  const [links, setLinks] = useState(false);
  const piece = order.pieces[active]!;
  const job = order.jobs[active];
  return (
    <main className={styles.desk}>
      <div className={styles.order}>
        <h1>{AGREED.order(order.number)}</h1>
        <span className={styles.customer}>
          {order.customer.name} <span className="soft">{order.customer.phone}</span>
        </span>
        <PieceTabs titles={order.pieces.map(({ design }) => design.piece.title)} active={active} onChoose={setActive} />
        {order.state === 'accepted' && (
          <span className={styles.acts}>
            <Button variant="text" href={`/desk/${order.number}?change`}>
              {CHANGE.change}
            </Button>
            <Button variant="text" onClick={() => setLinks(true)}>
              {DESK.link}
            </Button>
          </span>
        )}
        <span className={styles.promised}>
          {order.state === 'accepted' ? AGREED.promisedFor : stateName(order.state)} <b>{dayName(order.promised)}</b>
        </span>
      </div>
      <section className={styles.left} aria-label={AGREED.whatWasAgreed}>
        <dl className={styles.facts}>
          <div>
            <dt>{AGREED.piece}</dt>
            <dd>
              {piece.design.piece.title || '—'}
              <Link href={`/pieces/${piece.id}`}>{AGREED.record}</Link>
            </dd>
          </div>
          <div>
            <dt>{AGREED.insistsOn}</dt>
            <dd>{piece.design.insists || AGREED.nothing}</dd>
          </div>
          {piece.agreed && (
            <div>
              <dt>{AGREED.materials}</dt>
              <dd>
                {[
                  piece.agreed.resolved.moulding.name,
                  ...piece.agreed.resolved.mats.map((mat) => mat.name),
                  piece.agreed.resolved.glazing.name,
                  piece.agreed.resolved.backing.name,
                ].map((name, index) => (
                  <span key={index}>{name}</span>
                ))}
              </dd>
            </div>
          )}
          {job && (
            <div>
              <dt>{job.ticket}</dt>
              <dd>
                {stateName(job.state)}
                {job.hold && <span>{AGREED.onHold(untilText(job.hold), job.hold.reason)}</span>}
              </dd>
            </div>
          )}
        </dl>
        <p className={styles.aside}>{AGREED.agreedWithPriceBook(order.edition)}</p>
      </section>
      <section className={styles.middle} {...piecePanel(order.pieces.length, active)}>
        {piece.agreed && <Drawings worked={piece.agreed} photos={order.pictures[piece.id]} />}
      </section>
      <section className={styles.right} aria-label={AGREED.sizesAndPrice}>
        <div className={styles.scroll} tabIndex={0} role="group" aria-label={DESK.tape}>
          {piece.agreed && <Tape worked={piece.agreed} />}
        </div>
        <Totals
          piece={piece.agreed?.price}
          order={order.agreed ?? undefined}
          all={order.pieces.map((one) => one.agreed?.price)}
          floor={0}
          after={job && order.afterwards[job.ticket]}
        />
        <div className={styles.foot}>
          {job && (
            <Button variant="outlined" href={`/papers/ticket/${job.ticket}`} target="_blank">
              {AGREED.ticket}
            </Button>
          )}
          <Button variant="contained" href={`/collect/${order.number}`}>
            {AGREED.moneyAndHandOver}
          </Button>
        </div>
      </section>
      {links && (
        <LinkDialog
          order={{ id: order.id, number: order.number, revision: order.revision, customer: order.customer.name }}
          warnings={[]}
          onClose={() => setLinks(false)}
        />
      )}
    </main>
  );
}

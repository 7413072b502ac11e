'use client';
/** The books for the owner: trial balance, tax, what is owed on account, vouchers, and the journal of a time. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import type { LedgerView } from '@/contract/money-views';
import { Cash } from '@/ui/figures';
import { useView } from '@/ui/query';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { dayName } from '@/words/materials';
import { ACCOUNT_NAMES, LEDGER_PAGE, entryName, soldName } from '@/words/screens/till';
import styles from './till.module.css';
import { patient } from '@/ui/patient';

const Payout = dynamic(() => patient(() => import('./payout')).then((file) => file.Payout), { loading: () => null });

const NOTHING = <Cell num />;
/** A debit in the first of two columns, a credit in the second. */
const sides = (amount: number) =>
  amount >= 0 ? (
    <>
      <Cell num>
        <Cash value={amount} />
      </Cell>
      {NOTHING}
    </>
  ) : (
    <>
      {NOTHING}
      <Cell num>
        <Cash value={-amount} />
      </Cell>
    </>
  );

function Standing({ view }: { view: LedgerView }) {
  const debit = view.standing.reduce((total, { amount }) => total + Math.max(0, amount), 0);
  const credit = view.standing.reduce((total, { amount }) => total + Math.max(0, -amount), 0);
  return (
    <section>
      <h2>{LEDGER_PAGE.standing}</h2>
      <p className="soft">
        {LEDGER_PAGE.standingSay(dayName(view.to))}{' '}
        <a href={`/api/v1/export/trial-balance.csv?to=${view.to}`}>{LEDGER_PAGE.csv}</a>
      </p>
      <SheetTable label={LEDGER_PAGE.standing} columns={LEDGER_PAGE.standingColumns}>
        {view.standing.map(({ account, rate, amount }) => (
          <Row key={`${account} ${rate}`}>
            <Cell>
              {ACCOUNT_NAMES[account]} {rate !== null && LEDGER_PAGE.rate(rate)}
            </Cell>
            {sides(amount)}
          </Row>
        ))}
        <Row className={styles.total}>
          <Cell>{LEDGER_PAGE.sum}</Cell>
          <Cell num>
            <Cash value={debit} />
          </Cell>
          <Cell num>
            <Cash value={credit} />
          </Cell>
        </Row>
      </SheetTable>
    </section>
  );
}

function Tax({ view }: { view: LedgerView }) {
  return (
    <section>
      <h2>{LEDGER_PAGE.tax}</h2>
      <p className="soft">
        {view.tax.length === 0 && LEDGER_PAGE.noTax}{' '}
        <a href={`/api/v1/export/tax.csv?from=${view.from}&to=${view.to}`}>{LEDGER_PAGE.csv}</a>
      </p>
      {view.tax.length > 0 && (
        <SheetTable label={LEDGER_PAGE.tax} columns={LEDGER_PAGE.taxColumns}>
          {view.tax.map(({ rate, amount }) => (
            <Row key={rate}>
              <Cell>{LEDGER_PAGE.rate(rate)}</Cell>
              <Cell num>
                <Cash value={amount} />
              </Cell>
            </Row>
          ))}
        </SheetTable>
      )}
    </section>
  );
}

function Owing({ view }: { view: LedgerView }) {
  const columns = [
    { name: LEDGER_PAGE.customer },
    ...LEDGER_PAGE.ages.map((name) => ({ name, num: true as const })),
    { name: LEDGER_PAGE.inAll, num: true as const },
    { name: LEDGER_PAGE.statement, unseen: true as const },
  ];
  return (
    <section>
      <h2>{LEDGER_PAGE.owing}</h2>
      {view.owing.length === 0 ? (
        <p className="soft">{LEDGER_PAGE.noneOwing}</p>
      ) : (
        <SheetTable label={LEDGER_PAGE.owing} columns={columns}>
          {view.owing.map(({ customerId, customer, ages }) => (
            <Row key={customerId}>
              <Cell>{customer}</Cell>
              {ages.map((amount, index) => (
                <Cell key={index} num>
                  {amount !== 0 && <Cash value={amount} />}
                </Cell>
              ))}
              <Cell num>
                <Cash value={ages.reduce((total, amount) => total + amount, 0)} />
              </Cell>
              <Cell>
                <a href={`/papers/statement/${customerId}`} target="_blank" rel="noreferrer">
                  {LEDGER_PAGE.statement}
                </a>
              </Cell>
            </Row>
          ))}
        </SheetTable>
      )}
    </section>
  );
}

function Vouchers({ view }: { view: LedgerView }) {
  return (
    <section>
      <h2>{LEDGER_PAGE.vouchers}</h2>
      {view.vouchers.length === 0 ? (
        <p className="soft">{LEDGER_PAGE.noVouchers}</p>
      ) : (
        <SheetTable label={LEDGER_PAGE.vouchers} columns={LEDGER_PAGE.voucherColumns}>
          {view.vouchers.map(({ code, left, expires }) => (
            <Row key={code}>
              <Cell className={styles.code}>{code}</Cell>
              <Cell>{expires && dayName(expires)}</Cell>
              <Cell num>
                <Cash value={left} />
              </Cell>
            </Row>
          ))}
        </SheetTable>
      )}
    </section>
  );
}

function Journal({ view }: { view: LedgerView }) {
  return (
    <section className={styles.journal}>
      <h2>{LEDGER_PAGE.journal}</h2>
      <p className="soft">
        {view.entries.length === 0 && LEDGER_PAGE.none} {view.more && LEDGER_PAGE.more}{' '}
        <a href={`/api/v1/export/journal.csv?from=${view.from}&to=${view.to}`}>{LEDGER_PAGE.csv}</a>
      </p>
      <SheetTable label={LEDGER_PAGE.journal} columns={LEDGER_PAGE.journalColumns}>
        {view.entries.flatMap((entry) =>
          entry.postings.map(({ account, amount, sold, rate }, index) => (
            <Row key={`${entry.number}.${index}`} className={index === 0 ? styles.begins : ''}>
              <Cell>{index === 0 && entry.number}</Cell>
              <Cell>{index === 0 && dayName(entry.day)}</Cell>
              <Cell>
                {index === 0 && (
                  <>
                    {entryName(entry.kind)}
                    {entry.order !== null && (
                      <>
                        {', '}
                        <a href={`/collect/${entry.order}`}>{LEDGER_PAGE.order(entry.order)}</a>
                      </>
                    )}
                    {entry.reverses !== null && <span className="soft"> {LEDGER_PAGE.reverses(entry.reverses)}</span>}
                    {entry.note && <span className="soft"> {entry.note}</span>}
                  </>
                )}
              </Cell>
              <Cell>
                {ACCOUNT_NAMES[account]}{' '}
                <span className="soft">{sold !== null ? soldName(sold) : rate !== null && LEDGER_PAGE.rate(rate)}</span>
              </Cell>
              {sides(amount)}
            </Row>
          )),
        )}
      </SheetTable>
    </section>
  );
}

export function Ledger({ first }: { first: LedgerView }) {
  const { view } = useView(`/api/ledger?from=${first.from}&to=${first.to}`, first, ['ledger']);
  return (
    <main className={styles.page}>
      <header>
        <h1>{LEDGER_PAGE.head}</h1>
        <form className={styles.time}>
          <label>
            {LEDGER_PAGE.from} <input type="date" name="from" defaultValue={view.from} />
          </label>
          <label>
            {LEDGER_PAGE.to} <input type="date" name="to" defaultValue={view.to} />
          </label>
          <Button type="submit" variant="outlined">
            {LEDGER_PAGE.show}
          </Button>
        </form>
        <a href="/till">{LEDGER_PAGE.toTill}</a>
      </header>
      <div className={styles.books}>
        <Standing view={view} />
        <div>
          <Tax view={view} />
          <Vouchers view={view} />
          <Payout />
        </div>
      </div>
      <Owing view={view} />
      <Journal view={view} />
    </main>
  );
}

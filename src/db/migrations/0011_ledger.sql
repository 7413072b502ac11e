-- One ledger of double entry under everything that moves money. An entry is never changed; another reverses it by its
-- name. Amounts in minor units, a debit positive. What was paid until now becomes entries; `payment` is read off them.

CREATE TABLE till (
  number smallint PRIMARY KEY,
  name   text     NOT NULL UNIQUE
);
INSERT INTO till VALUES (1, '1');
-- The drawer that a device works at; the first one where nothing was said.
CREATE TABLE device_till (
  device_id uuid     PRIMARY KEY,
  till      smallint NOT NULL REFERENCES till (number)
);

CREATE TABLE ledger_entry (
  id       uuid        PRIMARY KEY,
  number   bigint      GENERATED ALWAYS AS IDENTITY UNIQUE,
  at       timestamptz NOT NULL,
  -- The shop's day that it falls on; that of a sealed day is never given again.
  day      date        NOT NULL,
  till     smallint    REFERENCES till (number),
  by_id    uuid        REFERENCES staff (id),
  kind     text        NOT NULL CHECK (kind IN ('deposit', 'balance', 'refund', 'correction', 'sale', 'kept', 'write-off',
                                                'voucher-sold', 'voucher-expired', 'float', 'cash-in', 'expense',
                                                'to-bank', 'payout', 'count')),
  order_id uuid        REFERENCES orders (id),
  note     text        NOT NULL DEFAULT '',
  reverses uuid        UNIQUE REFERENCES ledger_entry (id)
);

-- A voucher is money owed; what is left on it is read off its postings.
CREATE TABLE voucher (
  id      uuid        PRIMARY KEY,
  code    text        NOT NULL UNIQUE,
  sold_at timestamptz NOT NULL,
  expires date
);

CREATE TABLE ledger_posting (
  entry_id   uuid     NOT NULL REFERENCES ledger_entry (id),
  position   smallint NOT NULL,
  account    text     NOT NULL CHECK (account IN ('cash', 'card', 'bank', 'vouchers', 'deposits', 'receivable', 'sales', 'tax',
                                                  'returns', 'badDebts', 'overShort', 'fees', 'expenses', 'otherIncome')),
  amount     bigint   NOT NULL CHECK (amount <> 0),
  sold       text,
  rate       text,
  voucher_id uuid     REFERENCES voucher (id),
  PRIMARY KEY (entry_id, position)
);

-- A drawer's day, from its opening count to its seal. Its entries are those above `after_entry`, up to `up_to`.
CREATE TABLE till_day (
  id           uuid        PRIMARY KEY,
  till         smallint    NOT NULL REFERENCES till (number),
  day          date        NOT NULL,
  after_entry  bigint      NOT NULL,
  opened_at    timestamptz NOT NULL,
  opened_by_id uuid        REFERENCES staff (id),
  float        bigint      NOT NULL CHECK (float >= 0),
  counted      jsonb,
  up_to        bigint,
  sealed_at    timestamptz,
  sealed_by_id uuid        REFERENCES staff (id),
  note         text        NOT NULL DEFAULT ''
);
CREATE UNIQUE INDEX till_day_open ON till_day (till) WHERE sealed_at IS NULL;
CREATE INDEX till_day_day ON till_day (day);
CREATE FUNCTION sealed_stays() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF OLD.sealed_at IS NOT NULL OR TG_OP = 'DELETE' THEN
    RAISE EXCEPTION 'till_day is sealed';
  END IF;
  RETURN NEW;
END
$$;
CREATE TRIGGER till_day_kept BEFORE UPDATE OR DELETE ON till_day FOR EACH ROW EXECUTE FUNCTION sealed_stays();

-- What an order is when it is sold: net by group, tax by rate, as agreed. What was agreed before knows no groups.
ALTER TABLE orders ADD COLUMN sale jsonb;
-- When what is still owed after the hand-over is due.
ALTER TABLE orders ADD COLUMN due date;
-- Customers who pay later: within so many days, and never owing more than this.
ALTER TABLE customer ADD COLUMN terms_days   integer CHECK (terms_days BETWEEN 0 AND 365);
ALTER TABLE customer ADD COLUMN credit_limit bigint  CHECK (credit_limit >= 0);
CREATE INDEX orders_due ON orders (due) WHERE due IS NOT NULL;

-- Payments until now, in their order; a correction after what it corrects.
INSERT INTO ledger_entry (id, at, day, by_id, kind, order_id, note, reverses)
SELECT id, at, at::date, by_id, kind, order_id, note, reverses FROM payment ORDER BY payment.at, reverses IS NOT NULL, id;
INSERT INTO ledger_posting (entry_id, position, account, amount)
SELECT id, 1, method, amount FROM payment UNION ALL SELECT id, 2, 'deposits', -amount FROM payment;

-- Orders handed over until now are sold: what was paid becomes sales and tax.
WITH sold AS (
  SELECT o.id, md5('sale ' || o.id)::uuid AS entry, o.agreed, j.at
    FROM orders o
    JOIN LATERAL (SELECT max(handed_at) AS at FROM job WHERE order_id = o.id) j ON true
   WHERE o.state = 'handed-over' AND o.agreed IS NOT NULL),
entries AS (
  INSERT INTO ledger_entry (id, at, day, kind, order_id)
  SELECT entry, coalesce(at, now()), coalesce(at, now())::date, 'sale', id FROM sold ORDER BY sold.at)
INSERT INTO ledger_posting (entry_id, position, account, amount, sold, rate)
SELECT entry, row_number() OVER (PARTITION BY entry ORDER BY rank, rate), account, amount, sold, rate
  FROM (SELECT entry, 1 AS rank, 'deposits' AS account, (agreed ->> 'total')::bigint AS amount, NULL AS sold, NULL AS rate FROM sold
        UNION ALL
        SELECT entry, 2, 'sales', -(agreed ->> 'net')::bigint, 'goods', NULL FROM sold
        UNION ALL
        SELECT entry, 3, 'tax', -(t ->> 'amount')::bigint, NULL, t ->> 'percent'
          FROM sold, jsonb_array_elements(agreed -> 'tax') t) parts
 WHERE amount <> 0;

-- Indexes and what holds them come after what was paid before: row by row they would take minutes in an old shop.
CREATE INDEX ledger_posting_voucher ON ledger_posting (voucher_id) WHERE voucher_id IS NOT NULL;
CREATE INDEX ledger_entry_day   ON ledger_entry (day, number);
CREATE INDEX ledger_entry_till  ON ledger_entry (till, number);
CREATE INDEX ledger_entry_order ON ledger_entry (order_id, number);
CREATE TRIGGER ledger_entry_kept   BEFORE UPDATE OR DELETE ON ledger_entry   FOR EACH ROW EXECUTE FUNCTION never_changed();
CREATE TRIGGER ledger_posting_kept BEFORE UPDATE OR DELETE ON ledger_posting FOR EACH ROW EXECUTE FUNCTION never_changed();

CREATE FUNCTION entry_balances() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF (SELECT sum(amount) FROM ledger_posting WHERE entry_id = NEW.entry_id) <> 0 THEN
    RAISE EXCEPTION 'entry % does not come to zero', NEW.entry_id;
  END IF;
  RETURN NULL;
END
$$;
CREATE CONSTRAINT TRIGGER ledger_posting_balances AFTER INSERT ON ledger_posting
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION entry_balances();

ALTER TABLE card_request ADD COLUMN till smallint REFERENCES till (number);

DROP TABLE payment;
-- What came for an order and went back, by its means.
CREATE VIEW payment AS
SELECT e.id, e.order_id, e.kind, p.account AS method, p.amount, e.at, e.by_id, e.note, e.reverses, e.number
  FROM ledger_entry e JOIN ledger_posting p ON p.entry_id = e.id
 WHERE e.order_id IS NOT NULL AND p.account IN ('cash', 'card', 'bank', 'vouchers');

-- Nothing looks at the new tables by itself: without this, what an order was paid would be looked for in all of them.
ANALYZE ledger_entry, ledger_posting;

-- Customers, orders with their pieces, jobs with their steps, and the money.

CREATE TABLE customer (
  id         uuid        PRIMARY KEY,
  name       text        NOT NULL,
  phone      text        NOT NULL DEFAULT '',
  digits     text        NOT NULL DEFAULT '',
  email      text        NOT NULL DEFAULT '',
  created_at timestamptz NOT NULL
);
CREATE INDEX customer_name ON customer (lower(name));
CREATE INDEX customer_digits ON customer (digits);

CREATE SEQUENCE order_number START 2401;

CREATE TABLE orders (
  id          uuid        PRIMARY KEY,
  number      integer     NOT NULL UNIQUE,
  customer_id uuid        NOT NULL REFERENCES customer (id),
  state       text        NOT NULL CHECK (state IN ('quoted', 'accepted', 'handed-over', 'cancelled')),
  revision    integer     NOT NULL,
  promised    date        NOT NULL,
  edition     integer     NOT NULL REFERENCES price_edition (number),
  quoted_at   timestamptz NOT NULL,
  quote_until date        NOT NULL,
  accepted_at timestamptz,
  -- What was agreed, as it was: the order's price with the rules it came from. NULL until accepted.
  agreed      jsonb,
  created_by  text        NOT NULL
);
CREATE INDEX orders_customer ON orders (customer_id);

CREATE TABLE piece (
  id       uuid    PRIMARY KEY,
  order_id uuid    NOT NULL REFERENCES orders (id),
  position integer NOT NULL,
  design   jsonb   NOT NULL,
  -- The design with the materials' figures of the day it was quoted: the prices that the quote holds.
  quoted   jsonb   NOT NULL,
  -- The frozen copy of design, materials and price. NULL until accepted.
  agreed   jsonb,
  UNIQUE (order_id, position)
);

CREATE TABLE job (
  id         uuid    PRIMARY KEY REFERENCES piece (id),
  ticket     text    NOT NULL UNIQUE,
  order_id   uuid    NOT NULL REFERENCES orders (id),
  revision   integer NOT NULL,
  hold       jsonb,
  reasons    jsonb   NOT NULL,
  handed     jsonb,
  handed_at  timestamptz
);
CREATE INDEX job_order ON job (order_id);

CREATE TABLE step (
  job_id     uuid    NOT NULL REFERENCES job (id),
  position   integer NOT NULL,
  step       text    NOT NULL,
  station    text    NOT NULL,
  minutes    integer NOT NULL,
  state      text    NOT NULL CHECK (state IN ('todo', 'doing', 'done')),
  times      integer NOT NULL DEFAULT 0,
  started_at timestamptz,
  done_at    timestamptz,
  done_by    text,
  PRIMARY KEY (job_id, position)
);

-- What happened at the bench, never edited: started, done, undone, failed, held, released.
CREATE TABLE job_event (
  id     bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  job_id uuid        NOT NULL REFERENCES job (id),
  at     timestamptz NOT NULL,
  by     text        NOT NULL,
  what   text        NOT NULL,
  step   text,
  detail jsonb       NOT NULL DEFAULT '{}'
);
CREATE INDEX job_event_job ON job_event (job_id, id);

-- The ledger: entries are added, and reversed by another entry; never changed. Amounts in minor units.
CREATE TABLE payment (
  id       uuid        PRIMARY KEY,
  order_id uuid        NOT NULL REFERENCES orders (id),
  kind     text        NOT NULL CHECK (kind IN ('deposit', 'balance', 'refund', 'correction')),
  method   text        NOT NULL CHECK (method IN ('cash', 'card')),
  amount   integer     NOT NULL CHECK (amount <> 0),
  at       timestamptz NOT NULL,
  by       text        NOT NULL,
  note     text        NOT NULL DEFAULT '',
  reverses uuid        UNIQUE REFERENCES payment (id)
);
CREATE INDEX payment_order ON payment (order_id);

-- A question put to the card terminal. Open until its answer is known.
CREATE TABLE card_request (
  id       uuid        PRIMARY KEY,
  order_id uuid        NOT NULL REFERENCES orders (id),
  kind     text        NOT NULL,
  amount   integer     NOT NULL CHECK (amount > 0),
  state    text        NOT NULL CHECK (state IN ('open', 'approved', 'declined', 'unanswered', 'dropped')),
  at       timestamptz NOT NULL,
  by       text        NOT NULL
);

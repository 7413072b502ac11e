-- The shop, its people, its books.

CREATE TABLE shop (
  id        integer PRIMARY KEY CHECK (id = 1),
  name      text    NOT NULL,
  home_unit text    NOT NULL CHECK (home_unit IN ('in', 'mm')),
  prices    jsonb   NOT NULL,
  house     jsonb   NOT NULL,
  demo      boolean NOT NULL DEFAULT false
);

CREATE TABLE staff (
  id           uuid        PRIMARY KEY,
  name         text        NOT NULL,
  role         text        NOT NULL CHECK (role IN ('owner', 'counter', 'bench')),
  pin_hash     text        NOT NULL,
  failures     integer     NOT NULL DEFAULT 0,
  locked_until timestamptz,
  active       boolean     NOT NULL DEFAULT true
);
CREATE UNIQUE INDEX staff_name ON staff (lower(name));

-- A session is known by the hash of its secret; the secret itself is only in the browser's cookie.
CREATE TABLE session (
  token_hash text        PRIMARY KEY,
  staff_id   uuid        NOT NULL REFERENCES staff (id),
  created_at timestamptz NOT NULL,
  expires_at timestamptz NOT NULL
);

-- Each change of the books is an edition; an accepted order remembers its own.
CREATE TABLE price_edition (
  number integer     PRIMARY KEY,
  at     timestamptz NOT NULL,
  by     text        NOT NULL,
  why    text        NOT NULL
);

-- Lengths in units of 1/320 mm; costs as exact decimals per foot or metre.
CREATE TABLE moulding (
  code         text    PRIMARY KEY,
  name         text    NOT NULL,
  supplier     text    NOT NULL,
  face_width   integer NOT NULL CHECK (face_width > 0),
  rabbet_width integer NOT NULL CHECK (rabbet_width > 0 AND rabbet_width < face_width),
  rabbet_depth integer NOT NULL CHECK (rabbet_depth > 0),
  height       integer NOT NULL CHECK (height > 0),
  material     text    NOT NULL,
  profile      text    NOT NULL,
  finish       text    NOT NULL,
  colour       text    NOT NULL,
  stick        integer CHECK (stick > 0),
  cost         text    NOT NULL,
  cost_per     text    NOT NULL CHECK (cost_per IN ('ft', 'm')),
  unit         text    NOT NULL CHECK (unit IN ('in', 'mm')),
  edition      integer NOT NULL REFERENCES price_edition (number),
  position     integer NOT NULL
);

CREATE TABLE material (
  code     text    PRIMARY KEY,
  kind     text    NOT NULL CHECK (kind IN ('mat', 'glazing', 'backing')),
  spec     jsonb   NOT NULL,
  position integer NOT NULL
);

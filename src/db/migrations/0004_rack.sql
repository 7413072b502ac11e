-- The rack: pieces of moulding and sheet with their sizes, and what is kept of whole ones. Plans and what they took.

CREATE SEQUENCE rack_code START 1;
CREATE TABLE rack_piece (
  id         uuid        PRIMARY KEY,
  code       text        NOT NULL UNIQUE,
  kind       text        NOT NULL CHECK (kind IN ('stick', 'sheet')),
  material   text        NOT NULL,
  -- Units of 1/320 mm: the length of a stick, or width and height of a sheet.
  length     integer     NOT NULL CHECK (length > 0),
  height     integer     CHECK (height > 0),
  batch      text        NOT NULL DEFAULT '',
  no_go      jsonb       NOT NULL DEFAULT '[]',
  place      text        NOT NULL DEFAULT '',
  note       text        NOT NULL DEFAULT '',
  origin     text        NOT NULL CHECK (origin IN ('typed', 'list', 'offcut', 'drop-out', 'spoiled')),
  state      text        NOT NULL CHECK (state IN ('there', 'used', 'gone')),
  added_at   timestamptz NOT NULL,
  added_by   text        NOT NULL,
  CHECK ((kind = 'sheet') = (height IS NOT NULL))
);
CREATE INDEX rack_there ON rack_piece (material) WHERE state = 'there';

CREATE TABLE stock_level (
  material text    PRIMARY KEY,
  on_hand  integer NOT NULL CHECK (on_hand >= 0),
  minimum  integer NOT NULL CHECK (minimum >= 0)
);

CREATE SEQUENCE cut_plan_number START 1;
CREATE TABLE cut_plan (
  id         uuid        PRIMARY KEY,
  number     integer     NOT NULL UNIQUE,
  state      text        NOT NULL CHECK (state IN ('confirmed', 'undone')),
  at         timestamptz NOT NULL,
  by         text        NOT NULL,
  -- What was asked and what was planned, as they were; what was taken and put back.
  request    jsonb       NOT NULL,
  plan       jsonb       NOT NULL,
  figures    jsonb       NOT NULL,
  effect     jsonb       NOT NULL
);

-- Which parts are cut by which plan. A part that was undone or spoiled can be planned again.
CREATE TABLE cut_part (
  plan_id uuid    NOT NULL REFERENCES cut_plan (id),
  part    text    NOT NULL,
  ticket  text    NOT NULL,
  active  boolean NOT NULL,
  spoiled jsonb,
  PRIMARY KEY (plan_id, part)
);
CREATE UNIQUE INDEX cut_part_once ON cut_part (part) WHERE active;

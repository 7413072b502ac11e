-- What is written down about a piece when it is taken in, and the customers who bring them.

-- A photo is a file named by the hash of its bytes; here stands that somebody keeps it.
CREATE TABLE photo (
  hash   text        PRIMARY KEY CHECK (hash ~ '^[0-9a-f]{64}$'),
  width  integer     NOT NULL CHECK (width > 0),
  height integer     NOT NULL CHECK (height > 0),
  bytes  integer     NOT NULL CHECK (bytes > 0),
  at     timestamptz NOT NULL,
  by_id  uuid        REFERENCES staff (id)
);

-- The record of a piece, by the piece's id: it begins before a quote is saved and stays when the quote is changed.
CREATE TABLE piece_record (
  piece_id uuid        PRIMARY KEY,
  revision integer     NOT NULL,
  record   jsonb       NOT NULL,
  -- As it was signed: by whom, how, the record and the declared value at that moment.
  signed   jsonb,
  at       timestamptz NOT NULL,
  by_id    uuid        REFERENCES staff (id)
);

-- More about a customer; and one who turned out to be another, or who asked to be forgotten.
ALTER TABLE customer ADD COLUMN revision     integer     NOT NULL DEFAULT 1;
ALTER TABLE customer ADD COLUMN addresses    jsonb       NOT NULL DEFAULT '[]';
ALTER TABLE customer ADD COLUMN prefers      jsonb       NOT NULL DEFAULT '{}';
ALTER TABLE customer ADD COLUMN notes        text        NOT NULL DEFAULT '';
ALTER TABLE customer ADD COLUMN merged_into  uuid        REFERENCES customer (id);
ALTER TABLE customer ADD COLUMN forgotten_at timestamptz;
CREATE INDEX customer_merged ON customer (merged_into) WHERE merged_into IS NOT NULL;
CREATE INDEX piece_title_letters ON piece USING gin (lower(design -> 'piece' ->> 'title') gin_trgm_ops);

-- Forgetting a customer is the one procedure that may rewrite what was written down about them.
CREATE OR REPLACE FUNCTION never_changed() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'UPDATE' AND TG_TABLE_NAME IN ('audit', 'job_event') AND current_setting('lopren.forgetting', true) = 'on' THEN
    RETURN NEW;
  END IF;
  RAISE EXCEPTION '% is append-only', TG_TABLE_NAME;
END
$$;

-- Amounts as wide as the program's limit; materials by code with their keys; mouldings as of an edition.

ALTER TABLE payment      ALTER COLUMN amount TYPE bigint;
ALTER TABLE card_request ALTER COLUMN amount TYPE bigint;

-- An edition is filled in pieces and made in one step; what is being filled, or was given up, is seen by nobody.
ALTER TABLE price_edition ADD COLUMN state text NOT NULL DEFAULT 'made' CHECK (state IN ('filling', 'made', 'dropped'));

CREATE TABLE article (
  code text PRIMARY KEY,
  kind text NOT NULL CHECK (kind IN ('moulding', 'mat', 'glazing', 'backing'))
);
INSERT INTO article (code, kind) SELECT code, kind FROM material;
INSERT INTO article (code, kind) SELECT code, 'moulding' FROM moulding ON CONFLICT DO NOTHING;

-- A row for each edition that changed it; the newest made one holds.
ALTER TABLE moulding DROP CONSTRAINT moulding_pkey;
ALTER TABLE moulding ADD PRIMARY KEY (code, edition);
ALTER TABLE moulding ADD FOREIGN KEY (code) REFERENCES article (code);
ALTER TABLE material ADD FOREIGN KEY (code) REFERENCES article (code);
CREATE INDEX moulding_edition ON moulding (edition);
CREATE INDEX moulding_place ON moulding (position, code, edition DESC);

ALTER TABLE rack_piece  ADD COLUMN revision integer NOT NULL DEFAULT 1;
ALTER TABLE stock_level ADD COLUMN revision integer NOT NULL DEFAULT 1;
ALTER TABLE rack_piece  ADD FOREIGN KEY (material) REFERENCES article (code);
ALTER TABLE stock_level ADD FOREIGN KEY (material) REFERENCES article (code);
ALTER TABLE cut_part    ADD FOREIGN KEY (ticket) REFERENCES job (ticket);
ALTER TABLE step        ADD CONSTRAINT step_once UNIQUE (job_id, step);

CREATE INDEX cut_part_ticket ON cut_part (ticket);
CREATE INDEX job_open ON job (order_id) WHERE handed IS NULL;
CREATE INDEX orders_open ON orders (promised) WHERE state = 'accepted';
CREATE INDEX card_request_open ON card_request (order_id) WHERE state IN ('open', 'unanswered');

-- Every edition of the books keeps its content: price rules, house defaults, and the materials as they were. It holds
-- from a day on; the newest that has begun is in force.

ALTER TABLE price_edition ADD COLUMN starts date;
UPDATE price_edition SET starts = at::date;
ALTER TABLE price_edition ALTER COLUMN starts SET NOT NULL;

-- What older editions said was not kept; what is in force is.
ALTER TABLE price_edition ADD COLUMN prices jsonb;
ALTER TABLE price_edition ADD COLUMN house jsonb;
UPDATE price_edition SET prices = shop.prices, house = shop.house
  FROM shop WHERE number = (SELECT max(number) FROM price_edition WHERE state = 'made');
ALTER TABLE shop DROP COLUMN prices, DROP COLUMN house;

-- A row for each edition that changed a material, as mouldings have them.
ALTER TABLE material ADD COLUMN edition integer REFERENCES price_edition (number);
UPDATE material SET edition = (SELECT min(number) FROM price_edition WHERE state = 'made');
ALTER TABLE material ALTER COLUMN edition SET NOT NULL;
ALTER TABLE material DROP CONSTRAINT material_pkey;
ALTER TABLE material ADD PRIMARY KEY (code, edition);
-- No longer sold from that edition on.
ALTER TABLE material ADD COLUMN gone boolean NOT NULL DEFAULT false;
ALTER TABLE moulding ADD COLUMN gone boolean NOT NULL DEFAULT false;

CREATE INDEX orders_accepted ON orders (accepted_at) WHERE accepted_at IS NOT NULL;
CREATE INDEX orders_quoted ON orders (quote_until) WHERE state = 'quoted';
CREATE INDEX price_edition_made ON price_edition (starts, number) WHERE state = 'made';

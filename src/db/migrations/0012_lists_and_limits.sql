-- How a supplier's list names its columns, so that it is only told once.

CREATE TABLE list_columns (
  supplier text NOT NULL,
  list     text NOT NULL CHECK (list IN ('mouldings', 'mats', 'glazings', 'backings')),
  columns  jsonb NOT NULL,
  PRIMARY KEY (supplier, list)
);

-- How much of a piece's price somebody may take off without an owner, in percent.
ALTER TABLE staff ADD COLUMN discount_limit smallint NOT NULL DEFAULT 10 CHECK (discount_limit BETWEEN 0 AND 100);

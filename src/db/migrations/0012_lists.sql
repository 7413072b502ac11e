-- How a supplier's list names its columns, so that it is only told once.

CREATE TABLE list_columns (
  supplier text NOT NULL,
  list     text NOT NULL CHECK (list IN ('mouldings', 'mats', 'glazings', 'backings')),
  columns  jsonb NOT NULL,
  PRIMARY KEY (supplier, list)
);

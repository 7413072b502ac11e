-- How a supplier's list names its columns, so that it is only told once.

CREATE TABLE list_columns (
  supplier text NOT NULL,
  list     text NOT NULL CHECK (list IN ('mouldings', 'mats', 'glazings', 'backings')),
  columns  jsonb NOT NULL,
  PRIMARY KEY (supplier, list)
);

-- How much of a piece's price somebody may take off without an owner, in percent.
ALTER TABLE staff ADD COLUMN discount_limit smallint NOT NULL DEFAULT 10 CHECK (discount_limit BETWEEN 0 AND 100);

-- What each piece of an agreed order sells by itself, by its id, so that a part of an order can be handed over.
ALTER TABLE orders ADD COLUMN parts jsonb;
ALTER TABLE ledger_entry DROP CONSTRAINT ledger_entry_kind_check;
ALTER TABLE ledger_entry ADD CONSTRAINT ledger_entry_kind_check
  CHECK (kind IN ('deposit', 'balance', 'refund', 'correction', 'sale', 'part-sale', 'kept', 'write-off', 'voucher-sold',
                  'voucher-expired', 'float', 'cash-in', 'expense', 'to-bank', 'payout', 'count'));

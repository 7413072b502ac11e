-- What a person is typing at the desk, kept so that no screen that breaks takes it along. No record of the shop: it is
-- replaced as it is typed, and gone when the quote is saved.
CREATE TABLE desk_draft (
  staff_id uuid NOT NULL REFERENCES staff (id),
  order_key text NOT NULL,
  version bigint NOT NULL,
  at timestamptz NOT NULL,
  base integer,
  draft jsonb NOT NULL,
  PRIMARY KEY (staff_id, order_key)
);

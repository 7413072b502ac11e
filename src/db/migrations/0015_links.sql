-- Links by which a customer sees an order, chooses, asks, agrees and pays, without signing in. Only a hash of what the link
-- holds is kept; whoever knows it is the link, and what came by it is written down as such.

CREATE TABLE order_link (
  id           uuid        PRIMARY KEY,
  order_id     uuid        NOT NULL REFERENCES orders (id),
  token_hash   text        NOT NULL UNIQUE CHECK (token_hash ~ '^[0-9a-f]{64}$'),
  made_at      timestamptz NOT NULL,
  made_by_id   uuid        REFERENCES staff (id),
  expires_at   timestamptz NOT NULL,
  -- Why each warning is accepted, as whoever made the link said: `pieceId:code` -> reason.
  reasons      jsonb       NOT NULL,
  withdrawn_at timestamptz
);
CREATE INDEX order_link_order ON order_link (order_id);

-- What happened by a link and to it, never edited.
CREATE TABLE link_event (
  id      bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  link_id uuid        NOT NULL REFERENCES order_link (id),
  at      timestamptz NOT NULL,
  by_id   uuid        REFERENCES staff (id),
  what    text        NOT NULL CHECK (what IN ('made', 'opened', 'chose', 'asked', 'answered', 'accepted', 'refused',
                                               'paying', 'paid', 'not paid', 'withdrawn', 'came late')),
  detail  jsonb       NOT NULL DEFAULT '{}'
);
CREATE INDEX link_event_link ON link_event (link_id, id);
CREATE TRIGGER link_event_kept BEFORE UPDATE OR DELETE ON link_event FOR EACH ROW EXECUTE FUNCTION never_changed();

-- What a link did is told apart from what the program did by itself.
ALTER TABLE command      ADD COLUMN link_id uuid REFERENCES order_link (id);
ALTER TABLE job_event    ADD COLUMN link_id uuid REFERENCES order_link (id);
ALTER TABLE ledger_entry ADD COLUMN link_id uuid REFERENCES order_link (id);
ALTER TABLE card_request ADD COLUMN link_id uuid REFERENCES order_link (id);

-- What a quote came to when it was saved, with tax; null for those of before.
ALTER TABLE orders ADD COLUMN quoted_total bigint CHECK (quoted_total >= 0);

DROP VIEW payment;
-- What came for an order and went back, by its means.
CREATE VIEW payment AS
SELECT e.id, e.order_id, e.kind, p.account AS method, p.amount, e.at, e.by_id, e.link_id, e.note, e.reverses, e.number
  FROM ledger_entry e JOIN ledger_posting p ON p.entry_id = e.id
 WHERE e.order_id IS NOT NULL AND p.account IN ('cash', 'card', 'bank', 'vouchers');

-- Forgetting a customer is the one procedure that may rewrite what was written down about them.
CREATE OR REPLACE FUNCTION never_changed() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'UPDATE' AND TG_TABLE_NAME IN ('audit', 'job_event', 'link_event') AND current_setting('lopren.forgetting', true) = 'on' THEN
    RETURN NEW;
  END IF;
  RAISE EXCEPTION '% is append-only', TG_TABLE_NAME;
END
$$;

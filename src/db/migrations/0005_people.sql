-- Who did it is a person of the staff, not a name; NULL is the program itself (set-up, what runs at night).
-- Sessions, devices and what happened at the door.

ALTER TABLE payment   DISABLE TRIGGER payment_kept;
ALTER TABLE audit     DISABLE TRIGGER audit_kept;
ALTER TABLE job_event DISABLE TRIGGER job_event_kept;
ALTER TABLE command   DISABLE TRIGGER command_kept;

CREATE FUNCTION staff_named(wanted text) RETURNS uuid LANGUAGE sql STABLE AS $$
  SELECT id FROM staff WHERE lower(name) = lower(wanted)
$$;

ALTER TABLE payment       ADD COLUMN by_id uuid REFERENCES staff (id);
ALTER TABLE audit         ADD COLUMN by_id uuid REFERENCES staff (id);
ALTER TABLE job_event     ADD COLUMN by_id uuid REFERENCES staff (id);
ALTER TABLE command       ADD COLUMN by_id uuid REFERENCES staff (id);
ALTER TABLE card_request  ADD COLUMN by_id uuid REFERENCES staff (id);
ALTER TABLE price_edition ADD COLUMN by_id uuid REFERENCES staff (id);
ALTER TABLE cut_plan      ADD COLUMN by_id uuid REFERENCES staff (id);
ALTER TABLE orders        ADD COLUMN created_by_id uuid REFERENCES staff (id);
ALTER TABLE rack_piece    ADD COLUMN added_by_id   uuid REFERENCES staff (id);
ALTER TABLE step          ADD COLUMN done_by_id    uuid REFERENCES staff (id);

UPDATE payment       SET by_id = staff_named(by);
UPDATE audit         SET by_id = staff_named(by);
UPDATE job_event     SET by_id = staff_named(by);
UPDATE command       SET by_id = staff_named(by);
UPDATE card_request  SET by_id = staff_named(by);
UPDATE price_edition SET by_id = staff_named(by);
UPDATE cut_plan      SET by_id = staff_named(by);
UPDATE orders        SET created_by_id = staff_named(created_by);
UPDATE rack_piece    SET added_by_id   = staff_named(added_by);
UPDATE step          SET done_by_id    = staff_named(done_by);

UPDATE job SET hold = (hold - 'by') || jsonb_build_object('byId', staff_named(hold ->> 'by')) WHERE hold IS NOT NULL;
UPDATE job SET handed = (handed - 'by') || jsonb_build_object('byId', staff_named(handed ->> 'by')) WHERE handed IS NOT NULL;
UPDATE cut_part SET spoiled = (spoiled - 'by') || jsonb_build_object('byId', staff_named(spoiled ->> 'by')) WHERE spoiled IS NOT NULL;

ALTER TABLE payment       DROP COLUMN by;
ALTER TABLE audit         DROP COLUMN by;
ALTER TABLE job_event     DROP COLUMN by;
ALTER TABLE command       DROP COLUMN by;
ALTER TABLE card_request  DROP COLUMN by;
ALTER TABLE price_edition DROP COLUMN by;
ALTER TABLE cut_plan      DROP COLUMN by;
ALTER TABLE orders        DROP COLUMN created_by;
ALTER TABLE rack_piece    DROP COLUMN added_by;
ALTER TABLE step          DROP COLUMN done_by;
DROP FUNCTION staff_named;

-- An unsalted hash of a payload with a PIN tells the PIN. What is kept now is keyed and knows none; these are gone.
UPDATE command SET digest = '';

ALTER TABLE payment   ENABLE TRIGGER payment_kept;
ALTER TABLE audit     ENABLE TRIGGER audit_kept;
ALTER TABLE job_event ENABLE TRIGGER job_event_kept;
ALTER TABLE command   ENABLE TRIGGER command_kept;

-- A name may be given again when its person has left.
DROP INDEX staff_name;
CREATE UNIQUE INDEX staff_name ON staff (lower(name)) WHERE active;
ALTER TABLE staff DROP COLUMN failures, DROP COLUMN locked_until;

-- Everybody signs in once after this.
DROP TABLE session;
CREATE TABLE session (
  id         uuid        PRIMARY KEY,
  token_hash text        NOT NULL UNIQUE,
  staff_id   uuid        NOT NULL REFERENCES staff (id),
  device_id  uuid        NOT NULL,
  address    text        NOT NULL,
  created_at timestamptz NOT NULL,
  seen_at    timestamptz NOT NULL,
  expires_at timestamptz NOT NULL
);
CREATE INDEX session_staff ON session (staff_id);

-- On which device a person has signed in before: there, what others guess elsewhere slows nobody.
CREATE TABLE known_device (
  device_id uuid        NOT NULL,
  staff_id  uuid        NOT NULL REFERENCES staff (id),
  at        timestamptz NOT NULL,
  PRIMARY KEY (device_id, staff_id)
);

-- Wrong PINs for a person from one place (a known device, or an address), since the last right one there.
CREATE TABLE wrong_pin (
  place    text        NOT NULL,
  staff_id uuid        NOT NULL REFERENCES staff (id),
  count    integer     NOT NULL,
  at       timestamptz NOT NULL,
  until    timestamptz NOT NULL,
  PRIMARY KEY (place, staff_id)
);

-- What happened at the door, for the owner to read.
CREATE TABLE security_event (
  id       bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  at       timestamptz NOT NULL,
  what     text        NOT NULL,
  staff_id uuid        REFERENCES staff (id),
  address  text        NOT NULL,
  detail   jsonb       NOT NULL DEFAULT '{}'
);
CREATE TRIGGER security_event_kept BEFORE UPDATE OR DELETE ON security_event FOR EACH ROW EXECUTE FUNCTION never_changed();

-- What the owner has set, all of it in each edition.
CREATE TABLE settings_edition (
  number   integer     PRIMARY KEY,
  at       timestamptz NOT NULL,
  by_id    uuid        REFERENCES staff (id),
  settings jsonb       NOT NULL
);
CREATE TRIGGER settings_edition_kept BEFORE UPDATE OR DELETE ON settings_edition FOR EACH ROW EXECUTE FUNCTION never_changed();

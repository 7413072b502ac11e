-- The one door: every command that went through, and what it changed.

CREATE TABLE command (
  id     text        PRIMARY KEY,
  name   text        NOT NULL,
  digest text        NOT NULL,
  by     text        NOT NULL,
  at     timestamptz NOT NULL,
  result jsonb       NOT NULL
);

CREATE TABLE audit (
  id         bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  command_id text        NOT NULL REFERENCES command (id) DEFERRABLE INITIALLY DEFERRED,
  at         timestamptz NOT NULL,
  by         text        NOT NULL,
  what       text        NOT NULL,
  entity     text        NOT NULL,
  entity_id  text        NOT NULL,
  before     jsonb,
  after      jsonb
);
CREATE INDEX audit_entity ON audit (entity, entity_id);

CREATE FUNCTION never_changed() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION '% is append-only', TG_TABLE_NAME;
END
$$;
CREATE TRIGGER payment_kept   BEFORE UPDATE OR DELETE ON payment   FOR EACH ROW EXECUTE FUNCTION never_changed();
CREATE TRIGGER audit_kept     BEFORE UPDATE OR DELETE ON audit     FOR EACH ROW EXECUTE FUNCTION never_changed();
CREATE TRIGGER job_event_kept BEFORE UPDATE OR DELETE ON job_event FOR EACH ROW EXECUTE FUNCTION never_changed();
CREATE TRIGGER command_kept   BEFORE UPDATE OR DELETE ON command   FOR EACH ROW EXECUTE FUNCTION never_changed();

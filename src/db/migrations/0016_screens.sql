-- A screen that faces the customer signs in as a device of its own: it sees the order that is put on it, and nothing else.
ALTER TABLE staff DROP CONSTRAINT staff_role_check;
ALTER TABLE staff ADD CONSTRAINT staff_role_check CHECK (role IN ('owner', 'counter', 'bench', 'view'));

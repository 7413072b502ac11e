-- Twenty years of orders are found as fast as the first: letters anywhere in a name, digits anywhere in a phone
-- number, the beginning of an order's number.

CREATE EXTENSION IF NOT EXISTS pg_trgm;
DROP INDEX customer_name;
DROP INDEX customer_digits;
CREATE INDEX customer_name_start   ON customer (lower(name) text_pattern_ops);
CREATE INDEX customer_name_letters ON customer USING gin (lower(name) gin_trgm_ops);
CREATE INDEX customer_digits       ON customer USING gin (digits gin_trgm_ops);
CREATE INDEX orders_number_start   ON orders ((number::text) text_pattern_ops);

-- Designs that the house begins with, by what kind of piece they are for: materials by code, priced by the books of the day.
CREATE TABLE house_design (
  id     uuid        PRIMARY KEY,
  name   text        NOT NULL,
  kind   text        NOT NULL,
  design jsonb       NOT NULL,
  at     timestamptz NOT NULL,
  by_id  uuid        REFERENCES staff (id)
);
CREATE UNIQUE INDEX house_design_name ON house_design (lower(name));

-- What a step waits for once it is done (glue, press, drying), and what wood and wire came to be.

ALTER TABLE step ADD waits text CHECK (waits IN ('glue cure', 'dry', 'press'));

-- Read off what was agreed; 'press' was noted for cloth that is only ironed, too.
UPDATE step
   SET waits = route.one ->> 'waits'
  FROM piece,
       jsonb_array_elements(piece.agreed -> 'route') AS route (one)
 WHERE piece.id = step.job_id
   AND route.one ->> 'step' = step.step
   AND (route.one ->> 'waits' <> 'press' OR piece.agreed #>> '{resolved,design,build}' = 'dry-mount');

-- Measured at the bench: the rabbet after joining, its depth, a floater's inside, the wire's drop.
ALTER TABLE job ADD built jsonb NOT NULL DEFAULT '{}';

-- Frames that are bought whole stand in the books as well.
ALTER TABLE material DROP CONSTRAINT material_kind_check;
ALTER TABLE material ADD CONSTRAINT material_kind_check CHECK (kind IN ('mat', 'glazing', 'backing', 'ready-made'));
ALTER TABLE article DROP CONSTRAINT article_kind_check;
ALTER TABLE article ADD CONSTRAINT article_kind_check CHECK (kind IN ('moulding', 'mat', 'glazing', 'backing', 'ready-made'));

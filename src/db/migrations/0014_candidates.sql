-- Other designs of a piece that were compared with the one that is chosen: each with its letter, what it cost when it was
-- quoted, and whether it was declined. They stay when the order is agreed.
ALTER TABLE piece ADD COLUMN letter text  NOT NULL DEFAULT 'A';
ALTER TABLE piece ADD COLUMN others jsonb NOT NULL DEFAULT '[]';

-- The wall it will hang on: its colour, something to compare with, and where each frame of a set hangs.
ALTER TABLE orders ADD COLUMN wall jsonb;

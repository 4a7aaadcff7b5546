-- Documents are stored packed from here on, most of them told from an earlier one: the step "base" of the same reel.
-- The serial names what is stored: a document that takes another's place gets a new one.
CREATE SEQUENCE step_serial;
ALTER TABLE step ADD COLUMN serial BIGINT DEFAULT NEXT VALUE FOR step_serial NOT NULL;
ALTER TABLE step ADD COLUMN base INTEGER;
ALTER TABLE step ADD COLUMN packed BINARY LARGE OBJECT;
ALTER TABLE step ADD COLUMN packed_edit BINARY LARGE OBJECT;
ALTER TABLE step ALTER COLUMN document DROP NOT NULL;

-- What the shelf shows of a reel, so that it need not be read for that, and when it was removed.
ALTER TABLE reel ADD COLUMN card VARCHAR(2000);
ALTER TABLE reel ADD COLUMN removed_at TIMESTAMP(3) WITH TIME ZONE;
UPDATE reel SET removed_at = CURRENT_TIMESTAMP WHERE removed;
ALTER TABLE reel DROP COLUMN removed;
CREATE INDEX reel_by_touch ON reel (touched DESC, id);

-- When a picture came: one that no reel has named yet is not swept at once. And checksums (CRC-32C) of its smaller copies;
-- the picture itself is checked by its name.
ALTER TABLE picture ADD COLUMN came TIMESTAMP(3) WITH TIME ZONE DEFAULT CURRENT_TIMESTAMP NOT NULL;
ALTER TABLE picture ADD COLUMN working_sum BIGINT;
ALTER TABLE picture ADD COLUMN medium_sum BIGINT;
ALTER TABLE picture ADD COLUMN small_sum BIGINT;

ALTER TABLE delivery ADD COLUMN sha256 CHAR(64);

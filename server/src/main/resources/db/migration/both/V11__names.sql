-- The pictures and typeface files that a reel names at any point of its history, by their hashes, with the first step that does: what
-- no reel names can be swept without reading any document. Of reels from before, they are noted before the first sweep.
CREATE TABLE named (
    reel VARCHAR(36) NOT NULL CONSTRAINT named_by_reel REFERENCES reel (id) ON DELETE CASCADE,
    name CHAR(64) NOT NULL,
    step INTEGER NOT NULL,
    CONSTRAINT named_key PRIMARY KEY (reel, name)
);
CREATE INDEX named_by_name ON named (name);
ALTER TABLE reel ADD COLUMN names_noted BOOLEAN DEFAULT FALSE NOT NULL;

-- What others are stored as patches of is looked for by the sweep.
CREATE INDEX picture_by_base ON picture (base);

-- Typeface files are swept like pictures, and count for whoever brought them.
ALTER TABLE typeface ADD COLUMN came TIMESTAMP(3) WITH TIME ZONE DEFAULT CURRENT_TIMESTAMP NOT NULL;
CREATE TABLE brought_typeface (
    person   VARCHAR(40) NOT NULL,
    typeface CHAR(64) NOT NULL CONSTRAINT brought_typeface_file REFERENCES typeface (id) ON DELETE CASCADE,
    bytes    BIGINT NOT NULL,
    CONSTRAINT brought_typeface_key PRIMARY KEY (person, typeface)
);

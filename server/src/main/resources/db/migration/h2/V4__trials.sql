-- Settings that were tried on a reel: what the file weighed, how it looked, and a small picture of its worst frame.
-- "material" names what was delivered with them; trials of another material than the reel's of today are of its past.
CREATE TABLE trial (
    id          VARCHAR(36) CONSTRAINT trial_key PRIMARY KEY,
    reel        VARCHAR(36) NOT NULL CONSTRAINT trial_of_reel REFERENCES reel (id),
    material    VARCHAR(64) NOT NULL,
    delivery    CHARACTER LARGE OBJECT NOT NULL,
    name        VARCHAR(120) NOT NULL,
    tried       TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    width       INTEGER NOT NULL,
    height      INTEGER NOT NULL,
    byte_count  INTEGER NOT NULL,
    error       DOUBLE PRECISION NOT NULL,
    worst_frame INTEGER NOT NULL,
    worst_error DOUBLE PRECISION NOT NULL,
    picture     BINARY LARGE OBJECT NOT NULL
);

CREATE INDEX trial_by_reel ON trial (reel, tried);

-- Palettes that were given a name, for any reel: colors of six hexadecimal digits with blanks between them.
CREATE TABLE palette (
    id     VARCHAR(36) CONSTRAINT palette_key PRIMARY KEY,
    name   VARCHAR(120) NOT NULL,
    colors VARCHAR(2000) NOT NULL,
    made   TIMESTAMP(3) WITH TIME ZONE NOT NULL
);

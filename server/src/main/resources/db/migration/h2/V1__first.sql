-- A reel, and which of its steps it stands on. The revision counts every change, undo and redo included, and never goes
-- back: it is what a browser names as the base of an edit.
CREATE TABLE reel (
    id       VARCHAR(36) CONSTRAINT reel_key PRIMARY KEY,
    revision INTEGER NOT NULL,
    step     INTEGER NOT NULL,
    touched  TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    removed  BOOLEAN DEFAULT FALSE NOT NULL
);

-- The history of a reel: each step the edit that made it (none for the first) and the whole document after it.
CREATE TABLE step (
    reel     VARCHAR(36) NOT NULL CONSTRAINT step_of_reel REFERENCES reel (id),
    number   INTEGER NOT NULL,
    title    VARCHAR(200) NOT NULL,
    edit     CHARACTER LARGE OBJECT,
    document CHARACTER LARGE OBJECT NOT NULL,
    made     TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    CONSTRAINT step_key PRIMARY KEY (reel, number)
);

-- Pictures by the SHA-256 of their bytes, and smaller copies as PNG where the picture is large enough to need them.
CREATE TABLE picture (
    id         CHAR(64) CONSTRAINT picture_key PRIMARY KEY,
    media_type VARCHAR(40) NOT NULL,
    width      INTEGER NOT NULL,
    height     INTEGER NOT NULL,
    bytes      BINARY LARGE OBJECT NOT NULL,
    working    BINARY LARGE OBJECT,
    medium     BINARY LARGE OBJECT,
    small      BINARY LARGE OBJECT
);

CREATE TABLE delivery (
    id         VARCHAR(36) CONSTRAINT delivery_key PRIMARY KEY,
    reel       VARCHAR(36) NOT NULL CONSTRAINT delivery_of_reel REFERENCES reel (id),
    name       VARCHAR(120) NOT NULL,
    made       TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    width      INTEGER NOT NULL,
    height     INTEGER NOT NULL,
    frames     INTEGER NOT NULL,
    colors     INTEGER NOT NULL,
    plays      INTEGER NOT NULL,
    millis     INTEGER NOT NULL,
    byte_count INTEGER NOT NULL,
    bytes      BINARY LARGE OBJECT NOT NULL
);

CREATE INDEX delivery_by_reel ON delivery (reel, made);

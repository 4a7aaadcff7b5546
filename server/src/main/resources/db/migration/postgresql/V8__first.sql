-- All that Dobbin keeps, as the eighth form of its H2 file has it; see db/migration/h2 for what each column is. From V9 on one
-- file serves both databases.
CREATE TABLE reel (
    id         VARCHAR(36) CONSTRAINT reel_key PRIMARY KEY,
    revision   INTEGER NOT NULL,
    step       INTEGER NOT NULL,
    touched    TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    card       VARCHAR(2000),
    removed_at TIMESTAMP(3) WITH TIME ZONE,
    owner      VARCHAR(40),
    everyone   VARCHAR(7) DEFAULT 'NOTHING' NOT NULL
);
CREATE INDEX reel_by_touch ON reel (touched DESC, id);
CREATE INDEX reel_by_owner ON reel (owner);

CREATE SEQUENCE step_serial;
CREATE TABLE step (
    reel        VARCHAR(36) NOT NULL CONSTRAINT step_of_reel REFERENCES reel (id),
    number      INTEGER NOT NULL,
    title       VARCHAR(200) NOT NULL,
    edit        TEXT,
    document    TEXT,
    made        TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    serial      BIGINT DEFAULT nextval('step_serial') NOT NULL,
    base        INTEGER,
    packed      BYTEA,
    packed_edit BYTEA,
    CONSTRAINT step_key PRIMARY KEY (reel, number)
);

CREATE TABLE picture (
    id          CHAR(64) CONSTRAINT picture_key PRIMARY KEY,
    media_type  VARCHAR(40) NOT NULL,
    width       INTEGER NOT NULL,
    height      INTEGER NOT NULL,
    bytes       BYTEA NOT NULL,
    working     BYTEA,
    medium      BYTEA,
    small       BYTEA,
    came        TIMESTAMP(3) WITH TIME ZONE DEFAULT CURRENT_TIMESTAMP NOT NULL,
    working_sum BIGINT,
    medium_sum  BIGINT,
    small_sum   BIGINT,
    base        CHAR(64)
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
    bytes      BYTEA NOT NULL,
    sha256     CHAR(64),
    settings   TEXT,
    removed    TIMESTAMP(3) WITH TIME ZONE,
    error      DOUBLE PRECISION
);
CREATE INDEX delivery_by_reel ON delivery (reel, made);

CREATE TABLE typeface (
    id    CHAR(64) PRIMARY KEY,
    bytes BYTEA NOT NULL
);

CREATE TABLE trial (
    id          VARCHAR(36) CONSTRAINT trial_key PRIMARY KEY,
    reel        VARCHAR(36) NOT NULL CONSTRAINT trial_of_reel REFERENCES reel (id),
    material    VARCHAR(64) NOT NULL,
    delivery    TEXT NOT NULL,
    name        VARCHAR(120) NOT NULL,
    tried       TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    width       INTEGER NOT NULL,
    height      INTEGER NOT NULL,
    byte_count  INTEGER NOT NULL,
    error       DOUBLE PRECISION NOT NULL,
    worst_frame INTEGER NOT NULL,
    worst_error DOUBLE PRECISION NOT NULL,
    picture     BYTEA NOT NULL
);
CREATE INDEX trial_by_reel ON trial (reel, tried);

CREATE TABLE palette (
    id     VARCHAR(36) CONSTRAINT palette_key PRIMARY KEY,
    name   VARCHAR(120) NOT NULL,
    colors VARCHAR(2000) NOT NULL,
    made   TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    owner  VARCHAR(40)
);

CREATE TABLE reel_access (
    reel   VARCHAR(36) NOT NULL CONSTRAINT access_to_reel REFERENCES reel (id) ON DELETE CASCADE,
    person VARCHAR(40) NOT NULL,
    may    VARCHAR(7) NOT NULL,
    CONSTRAINT reel_access_key PRIMARY KEY (reel, person)
);
CREATE INDEX reel_access_by_person ON reel_access (person, reel);

CREATE TABLE brought (
    person  VARCHAR(40) NOT NULL,
    picture CHAR(64) NOT NULL CONSTRAINT brought_picture REFERENCES picture (id) ON DELETE CASCADE,
    bytes   BIGINT NOT NULL,
    CONSTRAINT brought_key PRIMARY KEY (person, picture)
);
CREATE INDEX brought_by_picture ON brought (picture);

-- Jobs that somebody asked for: what for, until when somebody holds it, and how it ended. Whoever finds one that nobody holds any
-- more takes it over. What is told of one kind at a time has a key of its reel while it is under way.
CREATE TABLE job (
    id         VARCHAR(36) CONSTRAINT job_key PRIMARY KEY,
    reel       VARCHAR(36) NOT NULL CONSTRAINT job_of_reel REFERENCES reel (id) ON DELETE CASCADE,
    kind       VARCHAR(20) NOT NULL,
    title      VARCHAR(200) NOT NULL,
    person     VARCHAR(40),
    request    TEXT NOT NULL,
    tries      INTEGER DEFAULT 1 NOT NULL,
    held_until TIMESTAMP(3) WITH TIME ZONE,
    alone      VARCHAR(60) CONSTRAINT job_alone UNIQUE,
    state      VARCHAR(9) DEFAULT 'RUNNING' NOT NULL,
    result     TEXT,
    problem    TEXT,
    ended      TIMESTAMP(3) WITH TIME ZONE
);
CREATE INDEX job_by_hold ON job (held_until);
CREATE INDEX job_by_end ON job (ended);

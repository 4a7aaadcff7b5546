-- Sessions of browsers that signed in (Spring Session's tables), so that each Dobbin on this database knows them.
CREATE TABLE browser_session (
    primary_id            CHAR(36) NOT NULL CONSTRAINT browser_session_key PRIMARY KEY,
    session_id            VARCHAR(64) NOT NULL,
    creation_time         BIGINT NOT NULL,
    last_access_time      BIGINT NOT NULL,
    max_inactive_interval INTEGER NOT NULL,
    expiry_time           BIGINT NOT NULL,
    principal_name        VARCHAR(100)
);
CREATE UNIQUE INDEX browser_session_by_id ON browser_session (session_id);
CREATE INDEX browser_session_by_expiry ON browser_session (expiry_time);

CREATE TABLE browser_session_attributes (
    session_primary_id CHAR(36) NOT NULL CONSTRAINT attribute_of_session REFERENCES browser_session (primary_id) ON DELETE CASCADE,
    attribute_name     VARCHAR(200) NOT NULL,
    attribute_bytes    BYTEA NOT NULL,
    CONSTRAINT browser_session_attributes_key PRIMARY KEY (session_primary_id, attribute_name)
);

-- The hash of the one password, where there is one for all: sessions that another password began end with it.
CREATE TABLE door (
    hash VARCHAR(200) NOT NULL
);

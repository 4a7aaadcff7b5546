-- Whose a reel is, by the name in the file of people; nobody's, where it was made before people had names: then it is everybody's.
-- And what others may do with it, all of them or some by name: 'LOOK' or 'WORK'.
ALTER TABLE reel ADD COLUMN owner VARCHAR(40);
ALTER TABLE reel ADD COLUMN everyone VARCHAR(7) DEFAULT 'NOTHING' NOT NULL;

CREATE TABLE reel_access (
    reel   VARCHAR(36) NOT NULL CONSTRAINT access_to_reel REFERENCES reel (id) ON DELETE CASCADE,
    person VARCHAR(40) NOT NULL,
    may    VARCHAR(7) NOT NULL,
    CONSTRAINT reel_access_key PRIMARY KEY (reel, person)
);
CREATE INDEX reel_access_by_person ON reel_access (person, reel);

-- A named palette is of whoever named it, too.
ALTER TABLE palette ADD COLUMN owner VARCHAR(40);

-- Who brought which picture, and how large it is: what counts against a person's quota.
CREATE TABLE brought (
    person  VARCHAR(40) NOT NULL,
    picture CHAR(64) NOT NULL CONSTRAINT brought_picture REFERENCES picture (id) ON DELETE CASCADE,
    bytes   BIGINT NOT NULL,
    CONSTRAINT brought_key PRIMARY KEY (person, picture)
);
CREATE INDEX brought_by_picture ON brought (picture);
CREATE INDEX reel_by_owner ON reel (owner);

-- Wrong passwords within an hour from the first, so that all Dobbins on this database count them together. Whoever changes any row
-- holds that of all, which is always there.
CREATE TABLE wrong_password (
    who   VARCHAR(80) NOT NULL CONSTRAINT wrong_password_key PRIMARY KEY,
    times INTEGER NOT NULL,
    first_millis BIGINT NOT NULL,
    last_millis  BIGINT NOT NULL
);
INSERT INTO wrong_password (who, times, first_millis, last_millis) VALUES ('all', 0, 0, 0);

-- The folder of a bucket that this database has to itself: one row once it has one.
CREATE TABLE bucket_folder (
    only_one INTEGER DEFAULT 1 NOT NULL CONSTRAINT bucket_folder_key PRIMARY KEY,
    name     VARCHAR(40) NOT NULL
);
ALTER TABLE picture ALTER COLUMN place SET DATA TYPE VARCHAR(200);
ALTER TABLE delivery ALTER COLUMN place SET DATA TYPE VARCHAR(200);

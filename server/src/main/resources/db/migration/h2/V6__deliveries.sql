-- With which settings a file was made, as JSON; nothing for those of earlier versions. And when it was deleted: it can be had
-- back for a day.
ALTER TABLE delivery ADD COLUMN settings CHARACTER LARGE OBJECT;
ALTER TABLE delivery ADD COLUMN removed TIMESTAMP(3) WITH TIME ZONE;

-- Where the bytes of a picture or a delivery lie in a bucket; null where they lie here. Those of a picture that has a place are
-- known by their checksums: a copy is there if it has one.
ALTER TABLE picture ADD COLUMN place VARCHAR(120);
ALTER TABLE picture ALTER COLUMN bytes DROP NOT NULL;
CREATE INDEX picture_by_place ON picture (place);
ALTER TABLE delivery ADD COLUMN place VARCHAR(120);
ALTER TABLE delivery ALTER COLUMN bytes DROP NOT NULL;
CREATE INDEX delivery_by_place ON delivery (place);

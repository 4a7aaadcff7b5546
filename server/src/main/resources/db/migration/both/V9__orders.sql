-- Deliveries that were asked for and are not made yet: the reel as it was then, and until when somebody makes it. Whoever finds one
-- that nobody holds any more takes it over.
CREATE TABLE delivery_order (
    id         VARCHAR(36) CONSTRAINT delivery_order_key PRIMARY KEY,
    reel       VARCHAR(36) NOT NULL CONSTRAINT order_of_reel REFERENCES reel (id) ON DELETE CASCADE,
    name       VARCHAR(120) NOT NULL,
    person     VARCHAR(40),
    document   TEXT NOT NULL,
    tries      INTEGER DEFAULT 1 NOT NULL,
    held_until TIMESTAMP(3) WITH TIME ZONE NOT NULL
);

-- Which order a delivery came of, so that whoever asked can be told, wherever it was made.
ALTER TABLE delivery ADD COLUMN order_id VARCHAR(36);
CREATE INDEX delivery_by_order ON delivery (order_id);

-- How far a delivered file is from what was drawn, as it is seen; worked out after it was delivered, and not known of earlier ones.
ALTER TABLE delivery ADD COLUMN error DOUBLE PRECISION;

-- A picture that is stored as what differs from another one, which must stay as long as it does.
ALTER TABLE picture ADD COLUMN base CHAR(64);

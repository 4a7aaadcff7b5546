-- Typeface files that were brought, by the SHA-256 of their bytes. They are few, and are kept.
CREATE TABLE typeface (
    id CHAR(64) PRIMARY KEY,
    bytes BINARY LARGE OBJECT NOT NULL
);

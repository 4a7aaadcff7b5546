-- What is done once for all instances, by whichever of them: jobs, and what recurs (db-scheduler's table).
CREATE TABLE scheduled_tasks (
    task_name            VARCHAR(100) NOT NULL,
    task_instance        VARCHAR(100) NOT NULL,
    task_data            BYTEA,
    execution_time       TIMESTAMP(6) WITH TIME ZONE NOT NULL,
    picked               BOOLEAN NOT NULL,
    picked_by            VARCHAR(50),
    last_success         TIMESTAMP(6) WITH TIME ZONE,
    last_failure         TIMESTAMP(6) WITH TIME ZONE,
    consecutive_failures INT,
    last_heartbeat       TIMESTAMP(6) WITH TIME ZONE,
    version              BIGINT NOT NULL,
    priority             INTEGER,
    CONSTRAINT scheduled_tasks_key PRIMARY KEY (task_name, task_instance)
);
CREATE INDEX scheduled_tasks_by_time ON scheduled_tasks (execution_time);
CREATE INDEX scheduled_tasks_by_heartbeat ON scheduled_tasks (last_heartbeat);

-- A job is done by whoever picks its task; the job says what for, for whom, and what it came to. Those under way get tasks at the start.
DROP INDEX job_by_hold;
ALTER TABLE job DROP COLUMN held_until;
ALTER TABLE job DROP COLUMN tries;
-- A name, or where people have none, a session.
ALTER TABLE job RENAME COLUMN person TO whose;
ALTER TABLE job ALTER COLUMN whose SET DATA TYPE VARCHAR(80);

-- People who have names, in the tables of Spring Security's JdbcUserDetailsManager.
CREATE TABLE users (
    username VARCHAR(40) NOT NULL CONSTRAINT users_key PRIMARY KEY,
    password VARCHAR(200) NOT NULL,
    enabled  BOOLEAN NOT NULL
);
CREATE TABLE authorities (
    username  VARCHAR(40) NOT NULL CONSTRAINT authority_of_user REFERENCES users (username) ON DELETE CASCADE,
    authority VARCHAR(50) NOT NULL,
    CONSTRAINT authorities_key PRIMARY KEY (username, authority)
);

-- Addresses from which somebody has signed in: wrong passwords of all others together do not keep them waiting.
CREATE TABLE signed_in_from (
    address     VARCHAR(80) NOT NULL CONSTRAINT signed_in_from_key PRIMARY KEY,
    last_millis BIGINT NOT NULL
);

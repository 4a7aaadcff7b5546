package dobbin.server;

class InstancesOnPostgresTest extends InstancesContract {
    InstancesOnPostgresTest() {
        super(Postgres.started().newDatabase());
    }
}

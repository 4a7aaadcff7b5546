package dobbin.server;

class NeighborsOnPostgresTest extends NeighborsContract {
    NeighborsOnPostgresTest() {
        super(Postgres.started().newDatabase());
    }
}

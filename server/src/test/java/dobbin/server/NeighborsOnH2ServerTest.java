package dobbin.server;

class NeighborsOnH2ServerTest extends NeighborsContract {
    NeighborsOnH2ServerTest() {
        super(H2Server.started().newDatabase());
    }
}

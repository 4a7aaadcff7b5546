package dobbin.server;

import org.junit.jupiter.api.Tag;

@Tag("long")
class InstancesOnH2ServerTest extends InstancesContract {
    InstancesOnH2ServerTest() {
        super(H2Server.started().newDatabase());
    }
}

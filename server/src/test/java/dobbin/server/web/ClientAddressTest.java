package dobbin.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClientAddressTest {
    @ParameterizedTest
    @CsvSource({
        "192.0.2.7, 192.0.2.7",
        "2001:db8:1:2:3:4:5:6, 20010db800010002/64",
        "2001:db8:1:2::9, 20010db800010002/64",
        "2001:db8:1:3::9, 20010db800010003/64",
        "fe80::1%eth0, fe80000000000000/64",
        "::ffff:192.0.2.7, ::ffff:192.0.2.7",
        "null, null",
    })
    void anAddressOfIpv6CountsAsItsNetwork(String address, String counted) {
        assertThat(ClientAddress.of(address)).isEqualTo(counted);
    }
}

package dobbin.form;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FileNameTest {
    @ParameterizedTest
    @CsvSource({
        "Last ferry, Last ferry",
        "Tide “now” 🌊, Tide “now” 🌊",
        "6:00 / 7:00?, 6-00 - 7-00-",
        "..\\..\\etc, -..-etc",
        "'  tide. . ', tide",
        "con, _con",
        "NUL.light, _NUL.light",
        "COM1, _COM1",
        "Comet, Comet",
        "..., _"
    })
    void isTakenByEverySystem(String name, String safe) {
        assertThat(FileName.safe(name)).isEqualTo(safe);
    }

    @Test
    void hasNoControlCharacters() {
        assertThat(FileName.safe("tide\n\0.exe")).isEqualTo("tide--.exe");
    }
}

package dobbin.server.slimming;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Palettes that were given a name. */
@Repository
class PaletteStore {
    private static final String INSERT =
            "INSERT INTO palette (id, name, colors, made) VALUES (:id, :name, :colors, :made)";
    private static final String SELECT = "SELECT id, name, colors FROM palette ORDER BY name, id";
    private static final String DELETE = "DELETE FROM palette WHERE id = :id";

    private final JdbcClient jdbc;

    PaletteStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param colors six hexadecimal digits each */
    record NamedPalette(String id, String name, List<String> colors) {}

    NamedPalette insert(String name, List<String> colors) {
        NamedPalette palette = new NamedPalette(UUID.randomUUID().toString(), name, colors);
        jdbc.sql(INSERT)
                .param("id", palette.id)
                .param("name", name)
                .param("colors", String.join(" ", colors))
                .param("made", Instant.now().truncatedTo(ChronoUnit.MILLIS).atOffset(ZoneOffset.UTC))
                .update();
        return palette;
    }

    List<NamedPalette> all() {
        return jdbc.sql(SELECT)
                .query((row, n) -> new NamedPalette(
                        row.getString("id"),
                        row.getString("name"),
                        List.of(row.getString("colors").split(" "))))
                .list();
    }

    boolean delete(String id) {
        return jdbc.sql(DELETE).param("id", id).update() == 1;
    }
}

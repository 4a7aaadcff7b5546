package dobbin.server.slimming;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Palettes that were given a name. */
@Repository
class PaletteStore {
    private static final String INSERT =
            "INSERT INTO palette (id, name, colors, made, owner) VALUES (:id, :name, :colors, :made, :owner)";
    private static final String SELECT = "SELECT id, name, colors FROM palette WHERE TRUE";
    private static final String DELETE = "DELETE FROM palette WHERE id = :id";
    private static final String OWNED = " AND (owner IS NULL OR owner = :person)";
    private static final String IN_ORDER = " ORDER BY name, id";

    private final JdbcClient jdbc;

    PaletteStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param colors six hexadecimal digits each */
    record NamedPalette(String id, String name, List<String> colors) {}

    /** @param owner nothing where people have no names */
    NamedPalette insert(String name, List<String> colors, Optional<String> owner) {
        NamedPalette palette = new NamedPalette(UUID.randomUUID().toString(), name, colors);
        jdbc.sql(INSERT)
                .param("id", palette.id)
                .param("name", name)
                .param("colors", String.join(" ", colors))
                .param("owner", owner.orElse(null))
                .param("made", Instant.now().truncatedTo(ChronoUnit.MILLIS).atOffset(ZoneOffset.UTC))
                .update();
        return palette;
    }

    /** @param person whose they are; nothing for all there are */
    List<NamedPalette> of(Optional<String> person) {
        return of(person, SELECT + (person.isPresent() ? OWNED : "") + IN_ORDER)
                .query((row, n) -> new NamedPalette(
                        row.getString("id"),
                        row.getString("name"),
                        List.of(row.getString("colors").split(" "))))
                .list();
    }

    boolean delete(String id, Optional<String> person) {
        return of(person, DELETE + (person.isPresent() ? OWNED : ""))
                        .param("id", id)
                        .update()
                == 1;
    }

    private JdbcClient.StatementSpec of(Optional<String> person, String sql) {
        JdbcClient.StatementSpec statement = jdbc.sql(sql);
        return person.map(name -> statement.param("person", name)).orElse(statement);
    }
}

package dobbin.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.reel.PictureRef;
import dobbin.still.DecodeLimits;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WorkingFileTest {
    private static final DecodeLimits SMALL = new DecodeLimits(50_000_000, 2_000, 2_000_000);
    private static byte[] whole;

    @TempDir
    private Path folder;

    @BeforeAll
    static void save() throws IOException {
        whole = written(MemoryWork.evening());
    }

    private static byte[] written(Work work) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WorkWriter.write(work, out);
        return out.toByteArray();
    }

    private WorkingFile opened(byte[] file) throws IOException {
        return WorkingFile.open(Files.write(folder.resolve("Crossing.dobbin"), file), SMALL);
    }

    @Test
    void whatIsSavedOpenedAndSavedAgainIsTheSameBytes() throws Exception {
        try (WorkingFile file = opened(whole)) {
            assertThat(written(file)).isEqualTo(whole);
        }
        byte[] alone = written(MemoryWork.evening().withoutPast());
        assertThat(alone).hasSizeLessThan(whole.length);
        try (WorkingFile file = opened(alone)) {
            assertThat(written(file)).isEqualTo(alone);
        }
    }

    @Test
    void theReelItsPastAndItsPicturesComeBack() throws Exception {
        MemoryWork work = MemoryWork.evening();
        try (WorkingFile file = opened(whole)) {
            assertThat(file.reel()).isEqualTo(work.reel());
            Work.Past past = file.past().orElseThrow();
            Work.Past before = work.past().orElseThrow();
            assertThat(past.steps()).isEqualTo(before.steps()).hasSizeGreaterThan(5);
            assertThat(past.current()).isEqualTo(before.current());
            for (int step = 0; step < past.steps().size(); step++) {
                assertThat(past.reel(step)).isEqualTo(before.reel(step));
            }
            assertThat(file.pictures())
                    .containsExactlyInAnyOrderElementsOf(work.reel().pictures());
            for (PictureRef ref : file.pictures()) {
                assertThat(file.picture(ref.picture())).isEqualTo(work.picture(ref.picture()));
            }
        }
    }

    @Test
    void anyZipProgramMayPackItAnew() throws Exception {
        byte[] packed = changed(parts -> {
            parts.put("pictures/", new byte[0]);
            parts.put("history/", new byte[0]);
        });
        try (WorkingFile file = opened(packed)) {
            assertThat(file.reel()).isEqualTo(MemoryWork.evening().reel());
            assertThat(written(file)).isEqualTo(whole);
        }
    }

    @Test
    void whatIsNoZipOrBreaksOffIsRefused() {
        refused("GIF89a, or so".getBytes(StandardCharsets.US_ASCII), "is no working file, or is damaged");
        refused(java.util.Arrays.copyOf(whole, whole.length / 2), "is no working file, or is damaged");
    }

    @Test
    void whatIsMissingIsNamed() throws Exception {
        refused(changed(parts -> parts.remove("reel.json")), "lacks the part “reel.json”");
        String picture = firstPicture();
        refused(changed(parts -> parts.remove(picture)), "lacks the part “" + stem(picture) + "”");
        refused(changed(parts -> parts.remove("history/2.json")), "and has ");
    }

    @Test
    void whatWasChangedIsNamed() throws Exception {
        String picture = firstPicture();
        byte[] other = changed(parts -> parts.get(picture)[200] ^= 1);
        try (WorkingFile file = opened(other)) {
            String name = stem(picture).substring("pictures/".length());
            assertThatThrownBy(() -> file.picture(name))
                    .isInstanceOf(UnreadableWork.class)
                    .hasMessageContaining(stem(picture) + "” that is not what its name says");
        }
        refused(
                changed(parts -> replace(parts, "reel.json", "\"plays\" : {", "\"plays\" : { \"never\" : 1,")),
                "“reel.json” that cannot be read, at plays.never");
        refused(
                changed(parts -> replace(parts, "reel.json", "\"budgetBytes\" : ", "\"budgetBytes\" : -")),
                "“reel.json” that cannot be read: budgetBytes must be from 1,000");
        refused(
                changed(parts -> replace(parts, "reel.json", "The evening crossing", "The morning crossing")),
                "that is not “reel.json”, which it should be");
        refused(changed(parts -> replace(parts, "history.json", "\"current\" : ", "\"current\" : 9")), "history.json");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            reel.json    | "format" : 11      | "format" : "11"                       | “reel.json” that cannot be read
            reel.json    | "plays" : \\{      | "plays" : { "times" : 1,              | “reel.json” that cannot be read
            reel.json    | "nextId" : \\d+     | "nextId" : 2147483647                 | nextId must be from 1 to 1,000,000,000
            reel.json    | "still" : 0        | "still" : 12345                       | sharing.still is 12345, which is no frame
            reel.json    | The evening        | The \\\\ud83d evening                  | name must have whole characters
            reel.json    | "taken" : \\d+      | "taken" : 999999999999999             | taken must be between the years 1 and 9999
            history.json | "made" : "[^"]+"   | "made" : "+999999999-01-01T00:00:00Z" | step 0 was not made between the years""")
    void whatNoReelCanHaveIsRefusedByItsField(String part, String from, String to, String why) throws Exception {
        refused(
                changed(parts -> parts.put(
                        part,
                        new String(parts.get(part), StandardCharsets.UTF_8)
                                .replaceFirst(from, to)
                                .getBytes(StandardCharsets.UTF_8))),
                why);
    }

    @Test
    void aPartWhoseChecksumIsWrongIsDamaged() {
        byte[] damaged = whole.clone();
        // In the middle of the first part's packed bytes.
        damaged[300] ^= 0x10;
        refused(damaged, "damaged part “reel.json”");
    }

    @Test
    void partsThatBelongToNoWorkingFileAreRefused() throws Exception {
        for (String name : new String[] {
            "../reel.json",
            "/etc/passwd",
            "pictures/../../x.png",
            "C:\\x.png",
            "notes.txt",
            "history/01.json",
            "pictures/" + "0".repeat(63) + ".png"
        }) {
            refused(changed(parts -> parts.put(name, new byte[] {1})), "“" + name + "”, which no working file has");
        }
        String unused = "pictures/" + "0".repeat(64);
        refused(
                changed(parts -> parts.put(unused + ".png", new byte[] {1})),
                "“" + unused + "” that the reel does not use");
    }

    @Test
    void aPictureUnderTwoEndingsIsThereTwice() throws Exception {
        String picture = firstPicture();
        refused(changed(parts -> parts.put(stem(picture) + ".bmp", parts.get(picture))), "” twice");
    }

    @Test
    void whatALaterVersionSavedIsSaidToBeThat() throws Exception {
        int next = Upgrades.CURRENT + 1;
        refused(
                changed(parts ->
                        replace(parts, "reel.json", "\"format\" : " + Upgrades.CURRENT, "\"format\" : " + next)),
                "“reel.json” that cannot be read: it was saved by a later version of Dobbin");
    }

    @Test
    void whatUnpacksToFarMoreThanItIsIsNotUnpacked() throws Exception {
        byte[] zeros = new byte[70_000_000];
        refused(changed(parts -> parts.put("reel.json", zeros)), "“reel.json” of more than 64 MB");
        String picture = firstPicture();
        byte[] bomb = changed(parts -> parts.put(picture, zeros));
        try (WorkingFile file = opened(bomb)) {
            assertThatThrownBy(() -> file.picture(stem(picture).substring("pictures/".length())))
                    .isInstanceOf(UnreadableWork.class)
                    .hasMessageContaining("of more than 2 MB");
        }
    }

    @Test
    void stepsThatUnpackToFarTooMuchTogetherAreRefused() throws Exception {
        byte[] blanks = " ".repeat(20_000_000).getBytes(StandardCharsets.US_ASCII);
        byte[] bomb = changed(
                parts -> parts.replaceAll((name, part) -> name.startsWith("history/") ? concat(part, blanks) : part));
        refused(bomb, "unpacks to far more than it is");
    }

    private static byte[] concat(byte[] first, byte[] second) {
        byte[] both = java.util.Arrays.copyOf(first, first.length + second.length);
        System.arraycopy(second, 0, both, first.length, second.length);
        return both;
    }

    private void refused(byte[] file, String clause) {
        assertThatThrownBy(() -> opened(file).close())
                .isInstanceOf(UnreadableWork.class)
                .hasMessageContaining(clause);
    }

    private static byte[] changed(Consumer<Map<String, byte[]>> change) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(whole))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                parts.put(entry.getName(), in.readAllBytes());
            }
        }
        change.accept(parts);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                out.putNextEntry(new ZipEntry(part.getKey()));
                out.write(part.getValue());
            }
        }
        return bytes.toByteArray();
    }

    private static void replace(Map<String, byte[]> parts, String part, String what, String with) {
        String text = new String(parts.get(part), StandardCharsets.UTF_8);
        assertThat(text).contains(what);
        parts.put(
                part,
                text.replaceFirst(java.util.regex.Pattern.quote(what), with).getBytes(StandardCharsets.UTF_8));
    }

    private static String firstPicture() throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        changed(parts::putAll);
        return parts.keySet().stream()
                .filter(name -> name.startsWith("pictures/"))
                .findFirst()
                .orElseThrow();
    }

    private static String stem(String name) {
        return name.substring(0, name.lastIndexOf('.'));
    }
}

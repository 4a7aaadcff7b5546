package dobbin.server;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** A JPEG with the date its photo was taken (Exif 2.32), put together by hand. */
final class ExifJpeg {
    private static final int EXIF_IFD = 0x8769;
    private static final int DATE_TIME_ORIGINAL = 0x9003;
    private static final int OFFSET_TIME_ORIGINAL = 0x9011;
    private static final int SUB_SEC_TIME_ORIGINAL = 0x9291;
    private static final int ASCII = 2;
    private static final int LONG = 4;
    private static final int ENTRY = 12;

    private record Text(int tag, String text) {}

    private ExifJpeg() {}

    static byte[] taken(byte[] jpeg, String date, String subseconds, String offset) {
        byte[] tiff = tiff(List.of(
                new Text(DATE_TIME_ORIGINAL, date),
                new Text(OFFSET_TIME_ORIGINAL, offset),
                new Text(SUB_SEC_TIME_ORIGINAL, subseconds)));
        byte[] head = "Exif\0\0".getBytes(StandardCharsets.US_ASCII);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        int length = 2 + head.length + tiff.length;
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xE1, (byte) (length >> 8), (byte) length});
        out.writeBytes(head);
        out.writeBytes(tiff);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private static byte[] tiff(List<Text> texts) {
        int first = 8;
        int second = first + 2 + ENTRY + 4;
        int values = second + 2 + texts.size() * ENTRY + 4;
        ByteBuffer out = ByteBuffer.allocate(values + 64);
        out.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(first);
        out.putShort((short) 1);
        entry(out, EXIF_IFD, LONG, 1).putInt(second);
        out.putInt(0).putShort((short) texts.size());
        for (Text each : texts) {
            byte[] bytes = (each.text + "\0").getBytes(StandardCharsets.US_ASCII);
            entry(out, each.tag, ASCII, bytes.length);
            if (bytes.length <= 4) {
                out.put(bytes).put(new byte[4 - bytes.length]);
            } else {
                out.putInt(values);
                out.duplicate().position(values).put(bytes);
                values += bytes.length;
            }
        }
        return out.putInt(0).array();
    }

    private static ByteBuffer entry(ByteBuffer out, int tag, int type, int count) {
        return out.putShort((short) tag).putShort((short) type).putInt(count);
    }
}

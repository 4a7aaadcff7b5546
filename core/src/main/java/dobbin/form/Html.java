package dobbin.form;

import dobbin.raster.Size;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * What one pastes into a page to show a loop: at its size, loaded when it comes near, in words for who does not see it, and as
 * a still for who asked for less motion.
 */
public final class Html {
    private Html() {}

    /**
     * @param gif the address of the loop, and {@code still} of the frame that stands for it
     * @param alt what it shows, in words; empty where it only decorates
     * @return a {@code picture} element
     */
    public static String picture(String gif, String still, Size size, String alt) {
        return String.format(Locale.ROOT, """
                <picture>
                  <source media="(prefers-reduced-motion: reduce)" srcset="%s">
                  <img src="%s" width="%d" height="%d" alt="%s" loading="lazy">
                </picture>
                """, escaped(still), escaped(gif), size.width(), size.height(), escaped(alt));
    }

    /** @return a whole page that shows it */
    static String page(String title, String gif, String still, Size size, String alt) {
        return String.format(Locale.ROOT, """
                <!DOCTYPE html>
                <html lang="en">
                <head>
                <meta charset="utf-8">
                <meta name="viewport" content="width=device-width">
                <title>%s</title>
                <style>
                body { margin: 40px; font: 18px/1.5 sans-serif; }
                img { max-width: 100%%; height: auto; }
                </style>
                </head>
                <body>
                %s</body>
                </html>
                """, escaped(title), picture(gif, still, size, alt));
    }

    /** @return the name of a file as it stands in an address: all but letters of English, digits and - . _ ~ encoded */
    public static String address(String file) {
        StringBuilder address = new StringBuilder();
        for (byte each : file.getBytes(StandardCharsets.UTF_8)) {
            char c = (char) (each & 0xFF);
            if (c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9' || "-._~".indexOf(c) >= 0) {
                address.append(c);
            } else {
                address.append(String.format(Locale.ROOT, "%%%02X", (int) c));
            }
        }
        return address.toString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}

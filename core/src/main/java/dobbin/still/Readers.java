package dobbin.still;

import com.twelvemonkeys.imageio.plugins.jpeg.JPEGImageReaderSpi;
import com.twelvemonkeys.imageio.plugins.webp.WebPImageReaderSpi;
import java.io.EOFException;
import java.io.IOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.spi.IIORegistry;
import javax.imageio.spi.ImageReaderSpi;
import javax.imageio.stream.ImageInputStream;

/**
 * Which reader reads which kind of file. Named here one by one: ImageIO's own search for plug-ins depends on which thread
 * asks first, with which class loader, and holds for the life of the process.
 */
final class Readers {
    private static final Map<FileKind, ImageReaderSpi> OF_KIND = new EnumMap<>(FileKind.class);

    static {
        ImageIO.setUseCache(false);
        // Reads CMYK and broken color profiles, and leaves all else to the JDK's reader.
        OF_KIND.put(FileKind.JPEG, registered(new JPEGImageReaderSpi()));
        OF_KIND.put(FileKind.WEBP, new WebPImageReaderSpi());
        OF_KIND.put(FileKind.PNG, ofTheJdk("png"));
        OF_KIND.put(FileKind.BMP, ofTheJdk("bmp"));
        OF_KIND.put(FileKind.TIFF, ofTheJdk("tiff"));
    }

    private Readers() {}

    /** @return a reader of {@code in}, to be disposed of; empty where there is none */
    static Optional<ImageReader> of(FileKind kind, ImageInputStream in) throws IOException {
        ImageReaderSpi provider = OF_KIND.containsKey(kind) ? OF_KIND.get(kind) : anyOfTheJdk(in);
        if (provider == null) {
            return Optional.empty();
        }
        ImageReader reader = provider.createReaderInstance();
        reader.setInput(in, true, true);
        return Optional.of(reader);
    }

    /** On registration it looks up the JDK's own reader, which it delegates to. */
    private static ImageReaderSpi registered(ImageReaderSpi provider) {
        IIORegistry.getDefaultInstance().registerServiceProvider(provider, ImageReaderSpi.class);
        return provider;
    }

    private static ImageReaderSpi ofTheJdk(String format) {
        return jdkProviders(provider -> Arrays.stream(((ImageReaderSpi) provider).getFormatNames())
                        .anyMatch(name -> name.toLowerCase(Locale.ROOT).equals(format)))
                .next();
    }

    private static ImageReaderSpi anyOfTheJdk(ImageInputStream in) throws IOException {
        Iterator<ImageReaderSpi> all = jdkProviders(provider -> true);
        while (all.hasNext()) {
            ImageReaderSpi provider = all.next();
            if (canDecode(provider, in)) {
                return provider;
            }
        }
        return null;
    }

    private static boolean canDecode(ImageReaderSpi provider, ImageInputStream in) throws IOException {
        in.mark();
        try {
            return provider.canDecodeInput(in);
        } catch (EOFException e) {
            return false;
        } finally {
            in.reset();
        }
    }

    private static Iterator<ImageReaderSpi> jdkProviders(javax.imageio.spi.ServiceRegistry.Filter filter) {
        return IIORegistry.getDefaultInstance()
                .getServiceProviders(
                        ImageReaderSpi.class,
                        provider ->
                                provider.getClass().getModule() == ImageIO.class.getModule() && filter.filter(provider),
                        true);
    }
}

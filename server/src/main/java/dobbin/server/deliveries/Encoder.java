package dobbin.server.deliveries;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Looks;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import dobbin.server.Settings;
import dobbin.slim.Delivered;
import dobbin.slim.Encoded;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.slim.Stages;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;

/**
 * Makes files, and keeps the latest: what was weighed a moment ago is delivered at once, other delays cost nothing, and
 * frames that did not change are not drawn again.
 */
@Service
class Encoder {
    private static final int BYTES_A_PIXEL = 4;

    private final Slim slim;
    private final Pictures pictures;
    private final Cache<String, Encoded> encoded;
    private final Cache<String, Raster> drawn;

    Encoder(Slim slim, Pictures pictures, Settings settings) {
        this.slim = slim;
        this.pictures = pictures;
        this.encoded = Caffeine.newBuilder()
                .maximumWeight(settings.deliveryCache().toBytes())
                .weigher((String key, Encoded loop) -> loop.bytes())
                .build();
        this.drawn = Caffeine.newBuilder()
                .maximumWeight(settings.frameCache().toBytes())
                .weigher((String key, Raster raster) ->
                        Math.toIntExact(BYTES_A_PIXEL * raster.size().area()))
                .build();
    }

    Optional<Delivered> known(Reel reel) {
        return Optional.ofNullable(encoded.getIfPresent(Slim.nameOfEncoded(reel)))
                .map(loop -> Slim.file(loop, reel));
    }

    Delivered encode(Reel reel, Progress progress) {
        return known(reel).orElseGet(() -> {
            Encoded made = slim.encode(reel, this::frame, progress);
            encoded.put(Slim.nameOfEncoded(reel), made);
            return Slim.file(made, reel);
        });
    }

    private Raster frame(Reel reel, Frame frame, Size size) {
        return drawn.get(Looks.of(reel, frame) + ' ' + size, missing -> Renderer.draw(reel, frame, pictures, size));
    }

    @Configuration
    static class Engine {
        @Bean(destroyMethod = "shutdownNow")
        ForkJoinPool frameThreads() {
            return new ForkJoinPool(Runtime.getRuntime().availableProcessors());
        }

        @Bean
        Slim slim(ForkJoinPool frameThreads) {
            return new Slim(frameThreads, Stages.UNTOLD, new PictureMemory());
        }
    }
}

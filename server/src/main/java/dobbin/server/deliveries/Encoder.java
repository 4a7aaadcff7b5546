package dobbin.server.deliveries;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.reel.Reel;
import dobbin.render.Looks;
import dobbin.render.Pictures;
import dobbin.server.Settings;
import dobbin.slim.Delivered;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;

/** Makes files, and keeps the latest: what was weighed a moment ago is delivered at once. */
@Service
class Encoder {
    private final Slim slim;
    private final Pictures pictures;
    private final Cache<String, Delivered> files;

    Encoder(Slim slim, Pictures pictures, Settings settings) {
        this.slim = slim;
        this.pictures = pictures;
        this.files = Caffeine.newBuilder()
                .maximumWeight(settings.deliveryCache().toBytes())
                .weigher((String key, Delivered file) -> file.bytes().length)
                .build();
    }

    Optional<Delivered> known(Reel reel) {
        return Optional.ofNullable(files.getIfPresent(Looks.ofDelivery(reel)));
    }

    Delivered encode(Reel reel, Progress progress) {
        return known(reel).orElseGet(() -> {
            Delivered made = slim.deliver(reel, pictures, progress);
            files.put(Looks.ofDelivery(reel), made);
            return made;
        });
    }

    @Configuration
    static class Engine {
        @Bean(destroyMethod = "shutdownNow")
        ForkJoinPool frameThreads() {
            return new ForkJoinPool(Runtime.getRuntime().availableProcessors());
        }

        @Bean
        Slim slim(ForkJoinPool frameThreads) {
            return new Slim(frameThreads);
        }
    }
}

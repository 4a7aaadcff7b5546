package dobbin.server.bucket;

import dobbin.server.web.Refused;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.io.InputStream;
import java.net.URI;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import software.amazon.awssdk.core.exception.SdkException;
import software.amazon.awssdk.core.sync.RequestBody;
import software.amazon.awssdk.http.urlconnection.UrlConnectionHttpClient;
import software.amazon.awssdk.regions.Region;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.S3ClientBuilder;
import software.amazon.awssdk.services.s3.model.Delete;
import software.amazon.awssdk.services.s3.model.ListObjectsV2Response;
import software.amazon.awssdk.services.s3.model.NoSuchKeyException;
import software.amazon.awssdk.services.s3.model.ObjectIdentifier;
import software.amazon.awssdk.services.s3.model.S3Object;

/**
 * A bucket of an S3-compatible store, where one is chosen. What belongs to one row of the database lies in a place of its own
 * there; the row names it. So a row is written after what it names, and what no row names can go. Each database has a folder of the
 * bucket to itself, so that none removes what another put there.
 */
@Component
public class Bucket {
    private static final String SEPARATOR = "/";
    private static final int LISTED_AT_ONCE = 1_000;

    private final BucketSettings settings;
    private final FolderStore folders;
    private volatile S3Client client;
    private volatile String folder;

    Bucket(BucketSettings settings, FolderStore folders) {
        this.settings = settings;
        this.folders = folders;
    }

    /** A bucket that is not there is found at the start, and not when somebody brings the first picture. */
    @PostConstruct
    void check() {
        if (isChosen()) {
            asked(() -> client().headBucket(head -> head.bucket(settings.name())));
            folder = folders.name();
        }
    }

    public boolean isChosen() {
        return !settings.name().isEmpty();
    }

    /**
     * @param kind what lies there
     * @param id no other of that kind has it
     * @return a place in the folder of this database
     */
    public String place(String kind, String id) {
        return placesOf(kind) + id;
    }

    private String placesOf(String kind) {
        return folder + SEPARATOR + kind + SEPARATOR;
    }

    /** @throws Refused where the store cannot be reached or does not take it */
    public void put(String place, String name, byte[] bytes) {
        asked(() -> client().putObject(
                        put -> put.bucket(settings.name()).key(key(place, name)), RequestBody.fromBytes(bytes)));
    }

    /** @throws Refused where the store cannot be reached, or has lost it */
    public byte[] get(String place, String name) {
        return asked(() -> client().getObjectAsBytes(
                                get -> get.bucket(settings.name()).key(key(place, name))))
                .asByteArrayUnsafe();
    }

    /** @return the same as it comes; whoever has it closes it */
    public InputStream open(String place, String name) {
        return asked(() -> client().getObject(get -> get.bucket(settings.name()).key(key(place, name))));
    }

    /**
     * Removes what no row names: what rows named that are gone, and what was on its way when its instance was killed.
     *
     * @param kind what lies in the places
     * @param before what came later may yet be named
     * @param named gives those of some places that rows name
     * @return how many places were removed from
     */
    public int sweep(String kind, Instant before, Function<Set<String>, Set<String>> named) {
        int removed = 0;
        String after = null;
        do {
            String from = after;
            ListObjectsV2Response listed = asked(() -> client().listObjectsV2(list -> list.bucket(settings.name())
                    .prefix(placesOf(kind))
                    .maxKeys(LISTED_AT_ONCE)
                    .continuationToken(from)));
            removed += sweep(listed.contents(), before, named);
            after = listed.nextContinuationToken();
        } while (after != null);
        return removed;
    }

    private int sweep(List<S3Object> listed, Instant before, Function<Set<String>, Set<String>> named) {
        List<S3Object> old = listed.stream()
                .filter(object -> object.lastModified().isBefore(before))
                .toList();
        Set<String> unnamed = new HashSet<>(old.stream().map(Bucket::placeOf).toList());
        if (unnamed.isEmpty()) {
            return 0;
        }
        unnamed.removeAll(named.apply(Set.copyOf(unnamed)));
        List<ObjectIdentifier> gone = new ArrayList<>();
        for (S3Object object : old) {
            if (unnamed.contains(placeOf(object))) {
                gone.add(ObjectIdentifier.builder().key(object.key()).build());
            }
        }
        if (!gone.isEmpty()) {
            Delete all = Delete.builder().objects(gone).build();
            asked(() -> client().deleteObjects(
                            delete -> delete.bucket(settings.name()).delete(all)));
        }
        return unnamed.size();
    }

    private static String key(String place, String name) {
        return place + SEPARATOR + name;
    }

    private static String placeOf(S3Object object) {
        return object.key().substring(0, Math.max(0, object.key().lastIndexOf(SEPARATOR)));
    }

    private static <V> V asked(Supplier<V> work) {
        try {
            return work.get();
        } catch (NoSuchKeyException e) {
            throw new Refused(
                    HttpStatus.INTERNAL_SERVER_ERROR,
                    "The bucket has lost a file that Dobbin put there. Put a backup of the bucket back.",
                    e);
        } catch (SdkException e) {
            throw new Refused(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "The bucket of pictures and deliveries cannot be reached, or does not let Dobbin in. Try again in a moment.",
                    e);
        }
    }

    /** The client is created at first use: most instances have no bucket, and their start should not wait for it. */
    private synchronized S3Client client() {
        if (client == null) {
            S3ClientBuilder builder = S3Client.builder()
                    .httpClient(UrlConnectionHttpClient.create())
                    .region(Region.of(settings.region()));
            if (!settings.endpoint().isEmpty()) {
                builder.endpointOverride(URI.create(settings.endpoint())).forcePathStyle(true);
            }
            client = builder.build();
        }
        return client;
    }

    @PreDestroy
    void close() {
        if (client != null) {
            client.close();
        }
    }
}

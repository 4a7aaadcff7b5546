package dobbin.server.bucket;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Which bucket, as {@code dobbin.bucket.*}. The key to it stands in {@code AWS_ACCESS_KEY_ID} and {@code AWS_SECRET_ACCESS_KEY}, or
 * wherever else S3 clients look for one.
 *
 * @param name empty where pictures and deliveries lie in the database
 * @param endpoint the address of the store; empty for that of the region
 * @param region of the store; stores that have none take any
 */
@ConfigurationProperties("dobbin.bucket")
public record BucketSettings(String name, String endpoint, String region) {}

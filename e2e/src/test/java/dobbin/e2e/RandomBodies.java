package dobbin.e2e;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Makes JSON bodies by what the API says of itself: right ones, and such as go beyond what it says in a field or two. */
final class RandomBodies {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final int DEEPEST = 7;
    private static final int MANY = 3_000;
    private static final List<Double> AMOUNTS =
            List.of(0.0, 1.0, -1.0, 0.5, 1e-300, 1e9, -1e9, 1e300, 100_000.0, 1_000_000.0);
    private static final List<String> TEXTS = List.of(
            "",
            " ",
            "Tide",
            "b23e28",
            "“ünlü” 🌊",
            "‮evil",
            "a".repeat(121),
            "../../etc/passwd",
            "<script>",
            "\u0000",
            "灯台");

    private final JsonNode schemas;
    private final String picture;
    private final Random random;
    /** Of ten values, how many go beyond what is said. */
    private final int wild;

    /**
     * @param description the OpenAPI description
     * @param picture the name of one that is there
     */
    RandomBodies(JsonNode description, String picture, Random random) {
        this.picture = picture;
        this.schemas = description.at("/components/schemas");
        this.random = random;
        this.wild = random.nextInt(3);
    }

    JsonNode of(JsonNode schema) {
        return of(schema, 0);
    }

    private JsonNode of(JsonNode schema, int depth) {
        if (random.nextInt(200) < wild) {
            return wrong();
        }
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asString();
            return of(schemas.get(name.substring(name.lastIndexOf('/') + 1)), depth + 1);
        }
        if (schema.has("oneOf")) {
            return of(pick(schema.get("oneOf")), depth);
        }
        if (schema.has("enum")) {
            return pick(schema.get("enum"));
        }
        return switch (kind(schema)) {
            case "object" -> object(schema, depth);
            case "array" -> array(schema, depth);
            case "integer" -> JSON.valueToTree(integer(schema));
            case "number" -> JSON.valueToTree(amount(schema));
            case "boolean" -> JSON.valueToTree(random.nextBoolean());
            default -> JSON.valueToTree(text());
        };
    }

    private static String kind(JsonNode schema) {
        JsonNode type = schema.has("type") ? schema.get("type") : schema.path("types");
        return type.isArray() ? type.get(0).asString() : type.asString("string");
    }

    private JsonNode pick(JsonNode all) {
        return all.get(random.nextInt(all.size()));
    }

    private JsonNode object(JsonNode schema, int depth) {
        ObjectNode object = JSON.createObjectNode();
        if (depth < DEEPEST) {
            schema.path("properties")
                    .properties()
                    .forEach(each -> object.set(each.getKey(), of(each.getValue(), depth + 1)));
            if (schema.path("additionalProperties").isObject()) {
                object.set("1", of(schema.get("additionalProperties"), depth + 1));
            }
        }
        return object;
    }

    private JsonNode array(JsonNode schema, int depth) {
        ArrayNode array = JSON.createArrayNode();
        int count = random.nextInt(40) < wild
                ? MANY
                : random.nextInt(4) + schema.path("minItems").asInt(0);
        JsonNode one = of(schema.get("items"), depth + 1);
        for (int i = 0; i < count; i++) {
            array.add(count < MANY ? of(schema.get("items"), depth + 1) : one);
        }
        return array;
    }

    /** Colors and names of files are right more often than by chance. */
    private String text() {
        return switch (random.nextInt(3)) {
            case 0 -> "b23e28";
            case 1 -> picture;
            default -> TEXTS.get(random.nextInt(TEXTS.size()));
        };
    }

    private long integer(JsonNode schema) {
        long least = schema.path("minimum").asLong(0);
        long most = schema.path("maximum").asLong(12);
        return switch (random.nextInt(20) < wild ? 3 : random.nextInt(3)) {
            case 0 -> least;
            case 1 -> most;
            case 2 -> least + (long) (random.nextDouble() * (most - least));
            default -> most + 1 + random.nextInt(3);
        };
    }

    private double amount(JsonNode schema) {
        Optional<Double> least =
                Optional.of(schema.path("minimum")).filter(JsonNode::isNumber).map(JsonNode::asDouble);
        if (least.isPresent() && random.nextInt(20) >= wild) {
            double most = schema.path("maximum").asDouble(least.get() + 1);
            return random.nextBoolean() ? most : least.get() + random.nextDouble() * (most - least.get());
        }
        return AMOUNTS.get(random.nextInt(AMOUNTS.size()));
    }

    private JsonNode wrong() {
        return switch (random.nextInt(6)) {
            case 0 -> JSON.nullNode();
            case 1 -> JSON.createArrayNode();
            case 2 -> JSON.createObjectNode();
            case 3 -> JSON.valueToTree(Long.MAX_VALUE);
            case 4 -> JSON.valueToTree("x".repeat(10_000));
            default -> deep();
        };
    }

    private static JsonNode deep() {
        ArrayNode outer = JSON.createArrayNode();
        ArrayNode inner = outer;
        for (int i = 0; i < 400; i++) {
            inner = inner.addArray();
        }
        return outer;
    }
}

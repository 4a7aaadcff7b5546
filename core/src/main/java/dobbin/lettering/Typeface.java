package dobbin.lettering;

/** The typefaces shipped with the application, named for what they are good for. */
public enum Typeface {
    PLAIN("Figtree-Regular.ttf", "Figtree-Bold.ttf"),
    BOOK("Lora-Regular.ttf", "Lora-Bold.ttf"),
    HAND("Caveat-Regular.ttf", "Caveat-Bold.ttf"),
    /** Has one weight. */
    POSTER("BebasNeue-Regular.ttf", "BebasNeue-Regular.ttf"),
    TYPED("CourierPrime-Regular.ttf", "CourierPrime-Bold.ttf");

    public enum Weight {
        REGULAR,
        BOLD
    }

    private final ShippedFont regular;
    private final ShippedFont bold;

    Typeface(String regularFile, String boldFile) {
        regular = new ShippedFont(regularFile);
        bold = new ShippedFont(boldFile);
    }

    ShippedFont font(Weight weight) {
        return weight == Weight.BOLD ? bold : regular;
    }
}

package dobbin.timing;

/**
 * How something gets from one pose to the next: the share of the way gone as a function of the share of the time.
 *
 * <p>Source of the curves: the quadratic and cubic polynomials with slope 0 where they are soft; for the overshoot
 * {@code 1 + (s + 1)u³ + su²} with {@code u = t - 1} and s = 1.70158, which goes a tenth too far and comes back.
 */
public enum Easing {
    /** Stays, and is there at once at the end. */
    HOLD {
        @Override
        double share(double t) {
            return 0;
        }
    },
    EVEN {
        @Override
        double share(double t) {
            return t;
        }
    },
    SOFT_START {
        @Override
        double share(double t) {
            return t * t;
        }
    },
    SOFT_END {
        @Override
        double share(double t) {
            return t * (2 - t);
        }
    },
    SOFT {
        @Override
        double share(double t) {
            return t * t * (3 - 2 * t);
        }
    },
    OVERSHOOT {
        @Override
        double share(double t) {
            double u = t - 1;
            return 1 + ((PAST + 1) * u + PAST) * u * u;
        }
    };

    private static final double PAST = 1.70158;

    abstract double share(double t);

    /**
     * @param t the share of the time, 0 to 1
     * @return the share of the way: exactly 0 at 0 and 1 at 1, never falling but for the overshoot's way back
     */
    public double at(double t) {
        return t <= 0 ? 0 : t >= 1 ? 1 : share(t);
    }

    /** @return the easing that looks the same when time runs backward, or the nearest to it there is */
    public Easing backward() {
        return switch (this) {
            case SOFT_START -> SOFT_END;
            case SOFT_END -> SOFT_START;
            case OVERSHOOT -> EVEN;
            default -> this;
        };
    }
}

package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/** @param bytes what the delivered file should stay under, 1,000 to 1,000,000,000 */
public record SetBudget(
        @Min(Ranges.MIN_BUDGET_BYTES) @Max(Ranges.MAX_BUDGET_BYTES)
        int bytes) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withBudget(Ranges.check(SetBudget.class, "bytes", bytes));
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof SetBudget;
    }

    @Override
    public String title(Reel reel) {
        return "Set the budget to " + bytes / 1000 + " KB";
    }
}

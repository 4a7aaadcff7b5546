package dobbin.reel;

/** What lies behind all frames. */
public sealed interface Backdrop permits Fill, Still {}

/** Typeface files that people bring: kept with the reels, and known again after a start. */
package dobbin.server.typefaces;

/** Animated PNG, as the third edition of "Portable Network Graphics" (W3C, 2025) has it. */
package dobbin.apng;

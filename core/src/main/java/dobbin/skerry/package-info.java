/**
 * The lighthouse on Skerry Point: made-up pictures for the demo, for trying things out and for measuring. Drawn by
 * program, the same each time, and like what people bring: photos with noise and wide gradients, ink drawings on nothing,
 * hard pixels, a banner, an animation with uneven delays, and a folder with its usual flaws.
 */
package dobbin.skerry;

/** From the files people bring to stills for frames: one from a photo, many from an animation. */
package dobbin.gather;

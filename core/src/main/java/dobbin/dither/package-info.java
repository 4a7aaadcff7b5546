/** Pictures to palette indices: plainly to the nearest color, or with the error spread so that the eye mixes it away. */
package dobbin.dither;

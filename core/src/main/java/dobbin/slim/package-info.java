/** From a reel to the bytes that are delivered: render, mix soft edges, choose colors, dither, difference, write. */
package dobbin.slim;

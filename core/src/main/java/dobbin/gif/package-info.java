/**
 * The GIF89a format ("Graphics Interchange Format, Version 89a", CompuServe, 1990): a reader that composites frames as
 * browsers show them, and a writer that stores only what changes. Streams in, streams out; hundredths of a second live
 * only here.
 */
package dobbin.gif;

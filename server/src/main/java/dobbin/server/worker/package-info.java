/**
 * Files that can make whatever reads them hang, or end its process: drawings in SVG, whose clip paths and filters nothing bounds, and
 * typefaces, which native code reads. A worker process with a small heap of its own reads them. It is ended where it takes too long, needs
 * too much memory, or where nobody waits for it any more.
 */
package dobbin.server.worker;

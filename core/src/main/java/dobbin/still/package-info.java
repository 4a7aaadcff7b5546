/**
 * Still-picture files: bytes in, upright pictures of a workable size out, or one sentence that says why not. Also the
 * order people expect file names to have.
 */
package dobbin.still;

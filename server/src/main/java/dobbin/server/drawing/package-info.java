/** Drawing by hand on frames. */
package dobbin.server.drawing;

/** Plates that are cut into frames. */
package dobbin.server.plates;

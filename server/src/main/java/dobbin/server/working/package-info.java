/** Working files: a reel with all it is made of, saved and opened. */
package dobbin.server.working;

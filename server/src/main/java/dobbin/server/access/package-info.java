/** Who may do what with a reel, where people have names. */
package dobbin.server.access;

/** How the server is, for whoever looks after it: on a port of its own, where that was asked for. */
package dobbin.server.health;

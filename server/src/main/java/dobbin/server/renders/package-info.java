/** Drawn frames at immutable addresses, and what can be seen by comparing them. */
package dobbin.server.renders;

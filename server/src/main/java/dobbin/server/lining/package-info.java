/** Lining up stills that were taken by hand. */
package dobbin.server.lining;

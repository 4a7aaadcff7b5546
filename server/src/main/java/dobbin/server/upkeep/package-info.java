/** What is done while nobody waits: what is not needed any more is removed, and the data file gives its space back. */
package dobbin.server.upkeep;

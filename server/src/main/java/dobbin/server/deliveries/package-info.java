/** The file as it would be delivered now, and those that were. */
package dobbin.server.deliveries;

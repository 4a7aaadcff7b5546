/** Deliveries in other forms than a GIF that is kept. */
package dobbin.server.forms;

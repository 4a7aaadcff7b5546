/** Other instances that work with the same database: what happens in one is told to the others. */
package dobbin.server.instances;

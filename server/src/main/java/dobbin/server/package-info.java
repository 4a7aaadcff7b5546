/**
 * The application over HTTP: keeps documents, pictures and deliveries, runs long work and says how far it is. What
 * happens to pictures and time is decided in the core.
 */
package dobbin.server;

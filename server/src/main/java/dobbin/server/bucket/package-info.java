/** Where pictures and deliveries lie when they are not in the database. */
package dobbin.server.bucket;

/** Long work off the request: started, followed over server-sent events, cancelled. */
package dobbin.server.jobs;

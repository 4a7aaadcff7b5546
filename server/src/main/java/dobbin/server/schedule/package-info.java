/** What is done once for all instances that share a database, by whichever of them: jobs that were asked for, and what recurs. */
package dobbin.server.schedule;

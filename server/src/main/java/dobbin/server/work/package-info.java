/** What work may take: memory from one budget, processors in order of what is waited for, and nothing twice. */
package dobbin.server.work;

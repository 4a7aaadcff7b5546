/** People who have names: who they are, and who is asking. */
package dobbin.server.people;

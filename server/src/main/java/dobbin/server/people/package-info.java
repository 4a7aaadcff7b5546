/** People who have names: the file that says who they are, and who is asking. */
package dobbin.server.people;

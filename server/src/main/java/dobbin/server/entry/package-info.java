/** Who may enter: everyone on this machine, or whoever knows the password. */
package dobbin.server.entry;

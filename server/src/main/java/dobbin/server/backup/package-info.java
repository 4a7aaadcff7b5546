/** Copies of all there is, made while Dobbin runs, and put back. */
package dobbin.server.backup;

/** Stills of one view, lined up and in even light. */
package dobbin.server.lining;

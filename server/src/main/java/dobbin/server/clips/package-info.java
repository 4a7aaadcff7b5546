/** Clips that become frames: which of their pictures, and where they loop well. The browser decodes them. */
package dobbin.server.clips;

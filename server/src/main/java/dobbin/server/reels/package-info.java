/** Reels and their histories: every edit is kept when it is answered, and can be undone later. */
package dobbin.server.reels;

/** Reels to begin with, gathered from made-up folders the way anyone would. */
package dobbin.server.demo;

/** Settings tried: what they weigh, how they look, and the pictures that show it. */
package dobbin.server.slimming;

/**
 * The document: what a reel is made of, as immutable values that can only be made valid. It names pictures by content
 * and holds none.
 */
package dobbin.reel;

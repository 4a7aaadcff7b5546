/** From many pictures to few colors: counting, choosing a palette, and finding the nearest entry of one. */
package dobbin.palette;

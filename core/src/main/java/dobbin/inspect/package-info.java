/**
 * What can be seen in a loop by looking at its pictures: how much changes from one to the next, at the seam, and what is
 * worth a word.
 */
package dobbin.inspect;

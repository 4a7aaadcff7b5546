/** What can be seen in a loop by looking at its pictures: how much changes from one to the next, and at the seam. */
package dobbin.inspect;

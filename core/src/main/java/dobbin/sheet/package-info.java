/** Sheets: one picture that holds the frames of a loop side by side. */
package dobbin.sheet;

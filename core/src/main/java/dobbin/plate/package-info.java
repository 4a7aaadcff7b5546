/** Plates: one picture that holds many drawings, and the frames that are cut from it. */
package dobbin.plate;

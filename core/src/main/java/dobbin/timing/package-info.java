/** Time: delays in milliseconds as people set them, in hundredths of a second as a GIF holds them. */
package dobbin.timing;

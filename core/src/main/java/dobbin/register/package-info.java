/** Lining up stills that were taken by hand: where each lies on another, to fractions of a pixel. */
package dobbin.register;

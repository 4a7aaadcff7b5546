/** Drawing by hand: strokes, figures and fills to pixels of a drawn layer. */
package dobbin.draw;

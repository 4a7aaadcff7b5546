/** Draws frames: the only way one is ever drawn, for preview and delivery alike. */
package dobbin.render;

/**
 * Pictures in memory: a {@link dobbin.raster.Raster} of straight-alpha sRGB pixels, and what can be done to one without
 * knowing what it shows. Filtering and blending happen in linear light with premultiplied alpha.
 */
package dobbin.raster;

/** OpenRaster, an open format of pictures in layers (freedesktop.org, "OpenRaster file layout", 0.0.5). */
package dobbin.ora;

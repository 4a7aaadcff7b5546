/** Words as shapes, in typefaces that come along, so that they look the same everywhere. */
package dobbin.lettering;

/**
 * Color spaces as plain numbers: sRGB, linear light and Oklab. The ground floor: it knows no pictures and imports
 * nothing of Dobbin.
 */
package dobbin.color;

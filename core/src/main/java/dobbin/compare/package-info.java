/** How different two pictures look. */
package dobbin.compare;

/** The forms in which a loop is delivered. */
package dobbin.form;

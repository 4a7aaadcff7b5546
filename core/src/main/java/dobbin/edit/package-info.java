/**
 * Everything that can be done to a reel: one record per edit, each giving a new reel. What cannot be done is refused
 * with one {@link dobbin.edit.EditRejected} and changes nothing.
 */
package dobbin.edit;

/** Pictures by content: read once when they come, kept whole beside what is worked on, and never changed. */
package dobbin.server.pictures;

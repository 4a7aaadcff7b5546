/** Reels as JSON, as they are stored and passed on: documents of all forms there ever were, and working files. */
package dobbin.document;

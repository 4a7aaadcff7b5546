/** What all of HTTP shares: errors as problem documents, who may ask, JSON shapes, and the pages of the interface. */
package dobbin.server.web;

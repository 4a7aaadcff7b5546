/** The data folder: whether it can be used, what is on the disk, and how much of it. */
package dobbin.server.data;

/**
 * Commands on this machine, and how they reach an instance that runs: by a token in its data folder, which its owner alone reads.
 */
package dobbin.server.local;

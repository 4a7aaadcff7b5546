/** The core on files and folders, for scripts and measurements: make, unpack, bench. Decides nothing about pictures. */
package dobbin.cli;

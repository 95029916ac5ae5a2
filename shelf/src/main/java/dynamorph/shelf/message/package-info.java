/** The words of this module that people read, in their language. */
package dynamorph.shelf.message;

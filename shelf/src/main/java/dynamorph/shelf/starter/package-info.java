/** The kits that come with the program. */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf.starter;

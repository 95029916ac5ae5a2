/** The shelf in the window: its looks, what is newer on it, and the projects that have them. */
@org.jspecify.annotations.NullMarked
package dynamorph.app.shelf;

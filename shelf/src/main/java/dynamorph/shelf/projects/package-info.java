/**
 * The projects that have looks from a shelf: where they are, what an update does to all of them.
 */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf.projects;

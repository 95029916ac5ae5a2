/** What a project and a shelf have in common: what is newer on either side, taken and put. */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf.follow;

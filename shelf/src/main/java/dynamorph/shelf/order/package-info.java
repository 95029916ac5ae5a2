/** In which order looks on a shelf are listed, and which of them are nearly the same. */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf.order;

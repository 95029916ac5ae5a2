/** The library of looks outside any project: what is on it and what can be done to it. */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf;

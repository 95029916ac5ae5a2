/**
 * The document as an immutable value: a {@link dynamorph.model.Project} holds artboards of text
 * layers, the styles they follow and the palette.
 *
 * <p>The way through the packages: {@code property} lists what can be set, {@code text} holds the
 * words, {@code style} the kept looks, {@code cascade} finds the value that counts at a character
 * and tells where it came from, {@code edit} makes a new project out of an old one, {@code reach}
 * names what a change touches. Nothing here knows pixels, fonts or windows. Lengths are in points
 * (1/72 inch), y grows downwards.
 */
package dynamorph.model;

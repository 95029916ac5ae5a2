/**
 * The document as an immutable value: a {@link dynamorph.model.Project} holds artboards of layers,
 * the styles they follow and the palette.
 *
 * <p>The way through the packages: {@code value} has lengths, colours and choices, {@code property}
 * lists what can be set to them, {@code text} holds the words, {@code shape} what a layer may show
 * instead, {@code style} the kept looks, {@code timeline} films with their tracks and times. {@code
 * cascade} finds the value that counts at a character and tells where it came from, {@code edit}
 * makes a new project out of an old one, in a package each for text, layers, styles, films and
 * imports; {@code reach} names what a change touches, {@code survey} finds styles that are nearly
 * the same, {@code document} holds documents of elsewhere and what becomes of their styles, {@code
 * fill} puts rows of a table into artboards, {@code message} holds what people read. Nothing here
 * knows pixels, fonts or windows. Lengths are in points (1/72 inch), y grows downwards.
 */
package dynamorph.model;

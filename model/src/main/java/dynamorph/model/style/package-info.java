/** Kept looks: styles with what they are based on, and the palette whose swatches stay live. */
package dynamorph.model.style;

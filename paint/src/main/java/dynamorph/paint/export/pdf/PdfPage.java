package dynamorph.paint.export.pdf;

import dynamorph.paint.artwork.Artwork;

/**
 * One page of a document.
 *
 * @param title what it shows
 */
public record PdfPage(String title, Artwork artwork) {}

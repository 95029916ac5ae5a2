/**
 * Artworks as PDF (ISO 32000-2) that prints, keeps and reads aloud what is on them: fonts of the
 * letters used, tags in reading order, the metadata that PDF/A-3 and PDF/UA-1 ask for.
 */
@org.jspecify.annotations.NullMarked
package dynamorph.paint.export.pdf;

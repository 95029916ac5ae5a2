package dynamorph.paint.export.pdf;

import dynamorph.model.export.ExportPreset;
import java.time.ZonedDateTime;

/**
 * How a document is made.
 *
 * @param title of the document
 * @param language of what has no other, as a BCP 47 tag
 * @param trim how far its pages go on beyond their trim, and whether that is marked
 * @param made when, as its metadata says
 */
public record PdfSettings(
    String title, String language, ExportPreset.Document trim, ZonedDateTime made) {}

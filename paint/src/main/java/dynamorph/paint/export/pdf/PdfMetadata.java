package dynamorph.paint.export.pdf;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.format.DateTimeFormatter;
import java.util.GregorianCalendar;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;

/**
 * What a document says about itself: title, dates, the standards it follows (XMP, ISO 16684-1), and
 * the colours it is meant in.
 */
final class PdfMetadata {
  private static final String PRODUCER = "Dynamorph";
  private static final String RDF = "http://www.w3.org/1999/02/22-rdf-syntax-ns#";
  private static final String DC = "http://purl.org/dc/elements/1.1/";
  private static final String XMP = "http://ns.adobe.com/xap/1.0/";
  private static final String PDF = "http://ns.adobe.com/pdf/1.3/";
  private static final String PDF_A = "http://www.aiim.org/pdfa/ns/id/";
  private static final String PDF_UA = "http://www.aiim.org/pdfua/ns/id/";

  private static final String EXTENSION = "http://www.aiim.org/pdfa/ns/extension/";
  private static final String SCHEMA = "http://www.aiim.org/pdfa/ns/schema#";
  private static final String PROPERTY = "http://www.aiim.org/pdfa/ns/property#";

  private PdfMetadata() {}

  static void describe(PDDocument document, PdfSettings settings) throws IOException {
    document.setVersion(1.7f);
    PDDocumentInformation information = document.getDocumentInformation();
    information.setTitle(settings.title());
    information.setProducer(PRODUCER);
    information.setCreator(PRODUCER);
    information.setCreationDate(GregorianCalendar.from(settings.made()));
    information.setModificationDate(GregorianCalendar.from(settings.made()));
    PDMetadata metadata = new PDMetadata(document);
    metadata.importXMPMetadata(packet(settings));
    var catalog = document.getDocumentCatalog();
    catalog.setMetadata(metadata);
    PDViewerPreferences preferences =
        new PDViewerPreferences(new org.apache.pdfbox.cos.COSDictionary());
    preferences.setDisplayDocTitle(true);
    catalog.setViewerPreferences(preferences);
    catalog.addOutputIntent(screenColours(document));
  }

  private static PDOutputIntent screenColours(PDDocument document) throws IOException {
    PDOutputIntent intent =
        new PDOutputIntent(document, new ByteArrayInputStream(SrgbProfile.bytes()));
    intent.setInfo("sRGB IEC61966-2.1");
    intent.setOutputCondition("sRGB IEC61966-2.1");
    intent.setOutputConditionIdentifier("sRGB IEC61966-2.1");
    intent.setRegistryName("http://www.color.org");
    return intent;
  }

  private static byte[] packet(PdfSettings settings) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      XMLStreamWriter out =
          XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(bytes, "UTF-8");
      out.writeProcessingInstruction("xpacket", "begin=\"\uFEFF\" id=\"W5M0MpCehiHzreSzNTczkc9d\"");
      out.writeStartElement("x", "xmpmeta", "adobe:ns:meta/");
      out.writeNamespace("x", "adobe:ns:meta/");
      out.writeStartElement("rdf", "RDF", RDF);
      out.writeNamespace("rdf", RDF);
      out.writeStartElement("rdf", "Description", RDF);
      out.writeAttribute("rdf", RDF, "about", "");
      out.writeNamespace("dc", DC);
      out.writeNamespace("xmp", XMP);
      out.writeNamespace("pdf", PDF);
      out.writeNamespace("pdfaid", PDF_A);
      out.writeNamespace("pdfuaid", PDF_UA);
      out.writeStartElement("dc", "title", DC);
      out.writeStartElement("rdf", "Alt", RDF);
      out.writeStartElement("rdf", "li", RDF);
      out.writeAttribute("xml", "http://www.w3.org/XML/1998/namespace", "lang", "x-default");
      out.writeCharacters(settings.title());
      out.writeEndElement();
      out.writeEndElement();
      out.writeEndElement();
      String date = settings.made().format(DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ssxxx"));
      element(out, "xmp", XMP, "CreateDate", date);
      element(out, "xmp", XMP, "ModifyDate", date);
      element(out, "xmp", XMP, "CreatorTool", PRODUCER);
      element(out, "pdf", PDF, "Producer", PRODUCER);
      element(out, "pdfaid", PDF_A, "part", "3");
      element(out, "pdfaid", PDF_A, "conformance", "A");
      element(out, "pdfuaid", PDF_UA, "part", "1");
      accessibilitySchema(out);
      out.writeEndElement();
      out.writeEndElement();
      out.writeEndElement();
      out.writeProcessingInstruction("xpacket", "end=\"w\"");
      out.close();
    } catch (XMLStreamException failed) {
      throw new IllegalStateException("the metadata could not be put together", failed);
    }
    return bytes.toByteArray();
  }

  /** PDF/A knows the property of PDF/UA only if it is described (ISO 19005-3, 6.6.2.3.3). */
  private static void accessibilitySchema(XMLStreamWriter out) throws XMLStreamException {
    out.writeStartElement("pdfaExtension", "schemas", EXTENSION);
    out.writeNamespace("pdfaExtension", EXTENSION);
    out.writeNamespace("pdfaSchema", SCHEMA);
    out.writeNamespace("pdfaProperty", PROPERTY);
    begin(out, "Bag");
    element(out, "pdfaSchema", SCHEMA, "schema", "PDF/UA identification");
    element(out, "pdfaSchema", SCHEMA, "namespaceURI", PDF_UA);
    element(out, "pdfaSchema", SCHEMA, "prefix", "pdfuaid");
    out.writeStartElement("pdfaSchema", "property", SCHEMA);
    begin(out, "Seq");
    element(out, "pdfaProperty", PROPERTY, "name", "part");
    element(out, "pdfaProperty", PROPERTY, "valueType", "Integer");
    element(out, "pdfaProperty", PROPERTY, "category", "internal");
    element(out, "pdfaProperty", PROPERTY, "description", "part of ISO 14289 that is followed");
    end(out);
    out.writeEndElement();
    end(out);
    out.writeEndElement();
  }

  /** Begins an array of one resource. */
  private static void begin(XMLStreamWriter out, String array) throws XMLStreamException {
    out.writeStartElement("rdf", array, RDF);
    out.writeStartElement("rdf", "li", RDF);
    out.writeAttribute("rdf", RDF, "parseType", "Resource");
  }

  private static void end(XMLStreamWriter out) throws XMLStreamException {
    out.writeEndElement();
    out.writeEndElement();
  }

  private static void element(
      XMLStreamWriter out, String prefix, String space, String name, String value)
      throws XMLStreamException {
    out.writeStartElement(prefix, name, space);
    out.writeCharacters(value);
    out.writeEndElement();
  }
}

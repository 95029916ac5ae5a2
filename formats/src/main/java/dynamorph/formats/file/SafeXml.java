package dynamorph.formats.file;

import javax.xml.stream.XMLInputFactory;

/** XML of unknown origin: no document type is read, no entity taken from elsewhere. */
public final class SafeXml {
  private SafeXml() {}

  /** Makes readers that join neighbouring text, and tell of faults by exceptions alone. */
  public static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    factory.setXMLReporter((_, _, _, _) -> {});
    return factory;
  }
}

package dynamorph.paint.export.pdf;

import static java.util.Objects.requireNonNull;

import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.StandardStructureTypes;
import org.jspecify.annotations.Nullable;

/**
 * What a document says, in reading order (ISO 32000-2, 14.7 and 14.8): a part for each page, in it
 * a section for each layer, in it paragraphs.
 */
final class PdfStructure {
  private final PDDocument document;
  private final String language;
  private final PDStructureTreeRoot root = new PDStructureTreeRoot();
  private final PDStructureElement whole;
  private final Map<Integer, COSArray> parents = new TreeMap<>();
  private @Nullable PDPage page;
  private @Nullable PDStructureElement part;
  private @Nullable PDStructureElement section;
  private String sectionName = "";

  PdfStructure(PDDocument document, String language) {
    this.document = document;
    this.language = language;
    whole = new PDStructureElement(StandardStructureTypes.DOCUMENT, root);
    root.appendKid(whole);
  }

  /** Begins a page. */
  void page(PDPage next, String title) {
    page = next;
    page.setStructParents(parents.size());
    page.getCOSObject().setItem(COSName.getPDFName("Tabs"), COSName.S);
    parents.put(parents.size(), new COSArray());
    part = new PDStructureElement(StandardStructureTypes.PART, whole);
    part.setTitle(title);
    whole.appendKid(part);
    section = null;
  }

  /** Begins a layer; it has no section until it says something. */
  void beginLayer(String name) {
    section = null;
    sectionName = name;
  }

  /** Puts a paragraph in; returns the number its content is marked with. */
  int paragraph(String own) {
    PDStructureElement paragraph = element(StandardStructureTypes.P);
    if (!own.isEmpty() && !own.equals(language)) {
      paragraph.setLanguage(own);
    }
    return marked(paragraph);
  }

  private PDStructureElement element(String type) {
    PDStructureElement in = requireNonNull(part);
    if (section == null) {
      section = new PDStructureElement(StandardStructureTypes.SECT, in);
      section.setTitle(sectionName);
      in.appendKid(section);
    }
    PDStructureElement element = new PDStructureElement(type, section);
    section.appendKid(element);
    return element;
  }

  private int marked(PDStructureElement element) {
    COSArray own = requireNonNull(parents.get(parents.size() - 1));
    int number = own.size();
    own.add(element.getCOSObject());
    element.setPage(page);
    element.getCOSObject().setItem(COSName.K, COSInteger.get(number));
    return number;
  }

  /** Lets the document know. */
  void finish() {
    COSArray numbers = new COSArray();
    parents.forEach((key, own) -> {
      numbers.add(COSInteger.get(key));
      numbers.add(own);
    });
    COSDictionary tree = new COSDictionary();
    tree.setItem(COSName.NUMS, numbers);
    root.getCOSObject().setItem(COSName.PARENT_TREE, tree);
    root.setParentTreeNextKey(parents.size());
    var catalog = document.getDocumentCatalog();
    catalog.setStructureTreeRoot(root);
    catalog.setLanguage(language);
    PDMarkInfo info = new PDMarkInfo();
    info.setMarked(true);
    catalog.setMarkInfo(info);
  }
}

/** Writing artboards as files: which of them, in which format, under which names. */
@org.jspecify.annotations.NullMarked
package dynamorph.app.export;

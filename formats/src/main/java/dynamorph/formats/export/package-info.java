/** Artboards out of a project as files: their names, what is written, what to know about it. */
@org.jspecify.annotations.NullMarked
package dynamorph.formats.export;

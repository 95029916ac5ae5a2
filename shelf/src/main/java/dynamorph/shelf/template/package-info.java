/** What new projects begin with: sizes by purpose, kits, templates. */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf.template;

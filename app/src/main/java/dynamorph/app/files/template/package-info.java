/** What new projects begin with, shown and chosen. */
@org.jspecify.annotations.NullMarked
package dynamorph.app.files.template;

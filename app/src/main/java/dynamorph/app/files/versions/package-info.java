/** The last saved states of the project's file: looked at beside what is open, and taken back. */
@NullMarked
package dynamorph.app.files.versions;

import org.jspecify.annotations.NullMarked;

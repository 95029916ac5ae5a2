/** The last saved states of project files. */
@NullMarked
package dynamorph.formats.versions;

import org.jspecify.annotations.NullMarked;

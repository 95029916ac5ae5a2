/** The guide of the program as pages of sections: read from Markdown, searched by words. */
@NullMarked
package dynamorph.formats.guide;

import org.jspecify.annotations.NullMarked;

/** Styled text as HTML, as clipboards carry it between programs. */
package dynamorph.formats.html;

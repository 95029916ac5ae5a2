/** What can be done with words: case, breaks, placeholder text, spelling. */
package dynamorph.app.artboards.text;

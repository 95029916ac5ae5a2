/** The fonts that a project asks for: which are missing, and what to set in their place. */
package dynamorph.app.fonts;

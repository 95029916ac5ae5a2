/** Documents that are imported: where their words stand, and what their styles become. */
package dynamorph.app.document;

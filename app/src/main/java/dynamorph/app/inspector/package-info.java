/** The inspector: what the selection follows, its local changes, and every value by facet. */
package dynamorph.app.inspector;

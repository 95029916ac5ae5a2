/** What is open, selected and being tried out. No nodes in here. */
package dynamorph.app.workspace;

/**
 * A value in the interface: whose it is ({@link dynamorph.app.property.Subject}), the cell that
 * shows it with its source mark, and its trace.
 */
package dynamorph.app.property;

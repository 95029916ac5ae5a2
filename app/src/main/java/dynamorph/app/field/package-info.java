/**
 * Fields for the values of properties, one editor for each type of value, all with live nudging.
 */
package dynamorph.app.field;

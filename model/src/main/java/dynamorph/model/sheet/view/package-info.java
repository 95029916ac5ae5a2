/** How a sheet is seen: what has a row, in what order and groups, in which columns, how large. */
package dynamorph.model.sheet.view;

/** Editors for values: numbers with units, colours, gradients, fonts, axes, OpenType features. */
package dynamorph.app.field;

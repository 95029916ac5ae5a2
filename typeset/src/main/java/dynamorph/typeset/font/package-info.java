/**
 * Fonts: shipped, travelling in the project, or installed on the machine; read when they are first
 * asked for.
 */
package dynamorph.typeset.font;

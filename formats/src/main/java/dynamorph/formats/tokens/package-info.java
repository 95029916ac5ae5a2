/**
 * Design tokens, as the Design Tokens Community Group of the W3C describes them (Format Module and
 * Resolver Module 2025.10): read into styles and swatches, and written from them.
 */
@org.jspecify.annotations.NullMarked
package dynamorph.formats.tokens;

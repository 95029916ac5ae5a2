/**
 * Text that people read, in their language: bundles of messages with plural forms, and the order of
 * words.
 */
package dynamorph.model.message;

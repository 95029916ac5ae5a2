/** Text that people read, in their language: bundles of messages with plural forms. */
package dynamorph.model.message;

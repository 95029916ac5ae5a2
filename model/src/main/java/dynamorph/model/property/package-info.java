/**
 * What can be set on text, in one registry: {@link dynamorph.model.property.Properties}. Files,
 * cascade, inspector, trace and command line are driven by it; adding a property touches that one
 * place and the look that uses it.
 */
package dynamorph.model.property;

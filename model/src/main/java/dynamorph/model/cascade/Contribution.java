package dynamorph.model.cascade;

import dynamorph.model.property.PropertySet;

/** What one level of the walk sets. */
record Contribution(Source source, PropertySet values) {}

package dynamorph.model.survey.hidden;

import dynamorph.model.edit.Target;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.List;

/**
 * A piece of text that follows nothing at its level, or follows and was changed by hand.
 *
 * @param follows the styles that it follows at its level, last added last
 * @param look the values that decide how it looks, as far as a style of the level goes
 * @param letters how many it has, in UTF-16 units
 */
record TextPiece(
    StyleLevel level, Target.Words member, List<StyleId> follows, PropertySet look, int letters) {}

package dynamorph.model.cascade;

import dynamorph.model.value.Alignment;

/** The resolved settings of a paragraph; lengths in points. */
public record ParagraphLook(
    Alignment alignment,
    double indentFirst,
    double indentStart,
    double indentEnd,
    double spaceBefore,
    double spaceAfter) {}

package dynamorph.model.cascade;

/** The resolved look of a span. */
public record CharacterLook(TypeLook type, Finish finish, TextDecorations lines) {}

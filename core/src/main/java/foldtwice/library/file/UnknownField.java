package foldtwice.library.file;

import java.util.Optional;

/**
 * A field of a file that this version does not know. It is kept and does nothing: perhaps it is of
 * a later version, perhaps it is a slip.
 *
 * @param where its path in the document
 * @param nearest the known field there that its name is nearest to
 */
public record UnknownField(String where, Optional<String> nearest) {}

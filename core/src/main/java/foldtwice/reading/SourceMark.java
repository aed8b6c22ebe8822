package foldtwice.reading;

import foldtwice.source.Source.Spot;
import java.util.Optional;

/**
 * Something that seems wrong in the source of a script, found without running it. A script may come
 * by there only where it is right, or expect to be refused.
 *
 * @param found what stands there; empty where the text cannot be read
 * @param expected what could stand there, in words
 * @param nearest the nearest right name
 */
public record SourceMark(Spot at, String found, String expected, Optional<String> nearest) {}

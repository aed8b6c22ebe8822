package foldtwice.binding;

import java.time.Instant;

/**
 * That a binding was fired in a try.
 *
 * @param at when
 * @param fingerprint of the binding and its routine as they were; proof of them only while it holds
 */
public record Proof(Instant at, String fingerprint) {}

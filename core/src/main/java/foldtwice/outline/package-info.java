/**
 * The steps of a macro as numbered lines with fields that are written as texts, and two macros held
 * against each other. Start at {@link foldtwice.outline.Outline} and {@link
 * foldtwice.outline.StepFields}.
 */
package foldtwice.outline;

/**
 * Helps to write a macro: finds steps for what somebody types, makes parameters of constants, and
 * opposites. Start at {@link foldtwice.writing.StepFinder} and {@link foldtwice.writing.Making}.
 */
package foldtwice.writing;

/**
 * What can be said of a routine without running it: what it changes, what in it is wrong, what
 * stands in its way on a computer. Start at {@link foldtwice.reading.Reading} and {@link
 * foldtwice.reading.Checker}.
 */
package foldtwice.reading;

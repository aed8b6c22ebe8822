/**
 * What was done by hand, as a macro of named steps ({@link foldtwice.recording.Recording}) and as
 * the manual route to measure against ({@link foldtwice.recording.Route}).
 */
package foldtwice.recording;

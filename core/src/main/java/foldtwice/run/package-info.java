/**
 * Running: what an application offers to be worked ({@link foldtwice.run.Program}), the interpreter
 * of macros over it, and the trace of what happened. A stand-in implements the port; a connector to
 * a real program would implement the same.
 */
package foldtwice.run;

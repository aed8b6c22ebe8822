/**
 * The command line: check, press, run. Standard output carries only the result; everything else
 * goes to standard error. Exit codes: 0 all is well, 1 the answer is no (something blocks, nothing
 * fired, a run failed), 2 the input cannot be used. Start at {@link foldtwice.cli.Main}.
 */
package foldtwice.cli;

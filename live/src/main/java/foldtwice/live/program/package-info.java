/**
 * A real program on this computer behind the port {@link foldtwice.run.Program}, and the computer
 * behind {@link foldtwice.run.Computer}. Calls wait for the program, each at most as long as its
 * limit: runs on real programs are taken on a thread of their own ({@link
 * foldtwice.live.program.LiveRun}).
 */
package foldtwice.live.program;

/**
 * What a running program offers, read off it and made a description of. Reading asks the program;
 * describing is a pure function of what was read and of what a library says already. Of the
 * program's documents nothing is kept: not what is written in them, not what they are called.
 */
package foldtwice.live.survey;

/**
 * What is said of a program as tables of plain texts that a person can fill, paste and read. Start
 * at {@link foldtwice.table.Tables}.
 */
package foldtwice.table;

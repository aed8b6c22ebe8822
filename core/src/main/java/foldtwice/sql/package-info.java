/**
 * What can be told of a stored SQL command by parsing it. Start at {@link foldtwice.sql.SqlText}.
 */
package foldtwice.sql;

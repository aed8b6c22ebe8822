/** What is done to texts everywhere. */
package foldtwice.text;

/** What live says in words, from one resource bundle. */
package foldtwice.live.say;

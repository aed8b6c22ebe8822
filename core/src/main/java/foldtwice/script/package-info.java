/**
 * Runs scripts in a sandbox: an embedded ECMAScript engine whose scripts reach nothing but the
 * interface of {@code interface.js}. Start at {@link foldtwice.script.Ecmascript}.
 */
package foldtwice.script;

/**
 * What all stand-ins share: commands with menu paths, one open dialog, settings, undo over an
 * immutable document. Start at {@link foldtwice.standin.base.StandIn}.
 */
package foldtwice.standin.base;

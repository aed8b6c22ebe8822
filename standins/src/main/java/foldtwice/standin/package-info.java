/**
 * Simulated applications that ship with the product, small but real, behind the ports of {@link
 * foldtwice.run}. They know nothing of bindings, libraries or the interface. Start at {@link
 * foldtwice.standin.StandIns}.
 */
package foldtwice.standin;

/**
 * Measures the figures the product promises, each beside a rival, in one run. Start at {@link
 * foldtwice.bench.Ratios}; {@code bench/run} builds and runs it.
 */
package foldtwice.bench;

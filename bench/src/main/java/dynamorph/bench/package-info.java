/**
 * Benchmarks (JMH). {@code bench/run} builds and runs them; ratios within one run are what counts.
 */
package dynamorph.bench;

/** Measures the core: how fast it is, and how often it is right. Uses the core and its made-up harnesses. */
@NullMarked
package zestymarten.benchmarks;

import org.jspecify.annotations.NullMarked;

/**
 * The practice room: units with hidden faults, probed freely, scored and replayed. What is done in a session is stored, and
 * everything else follows from it by {@code bench.practice}.
 *
 * <p>Uses {@code wiring} for units by chance, {@code drawing} for faces.
 */
@NullMarked
package zestymarten.web.practice;

import org.jspecify.annotations.NullMarked;

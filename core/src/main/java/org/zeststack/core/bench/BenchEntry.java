package org.zeststack.core.bench;

import java.time.Instant;
import java.util.UUID;

/**
 * One entry of the bench.
 *
 * @param sequence order within the run
 * @param key made by the device; the same key never counts twice
 * @param at when it happened, by the device's corrected clock
 * @param by who wrote it
 * @param corrects key of the entry that this one takes back; null for none
 * @param late whether it came in after the run was closed
 */
public record BenchEntry(long sequence, UUID key, EntryBody body, Instant at, String by, UUID corrects, boolean late) {}

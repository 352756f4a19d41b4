/**
 * The bench's append-only entries and its series of readings. Every accepted entry or batch of readings takes the run's
 * next sequence number under the run's row lock and is told to other instances by {@code NOTIFY}.
 */
package org.zeststack.store.bench;

package org.zeststack.store;

import java.time.Duration;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Something read often and changed seldom: what was read is taken for true for a fifth of a second. What this instance
 * changes it forgets at once; what another changes is seen after that time. For computing and showing only, never for what
 * is saved under a lock.
 *
 * @param <T> what is read
 */
public final class Trusted<T> {

    private static final long NANOS = Duration.ofMillis(200).toNanos();

    private final Supplier<T> read;
    private volatile Held<T> held;

    private record Held<T>(T content, long readAt) {}

    public Trusted(Supplier<T> read) {
        this.read = read;
    }

    public T get() {
        Held<T> now = held;
        long time = System.nanoTime();
        if (now == null || time - now.readAt >= NANOS) {
            now = new Held<>(read.get(), time);
            held = now;
        }
        return now.content;
    }

    /** Within a transaction once more when it is through: somebody may have read in between what was there before. */
    public void forget() {
        held = null;
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    held = null;
                }
            });
        }
    }
}

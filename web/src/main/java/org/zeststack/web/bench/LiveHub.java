package org.zeststack.web.bench;

import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.live.LiveFeed;
import org.zeststack.store.people.People;
import org.zeststack.web.security.SignedOut;

/**
 * Open pages of this instance. When any instance writes, each open page of that run is sent what came after the number it
 * last saw, reread from the tables. A stream holds no pooled connection.
 */
@Component
class LiveHub implements DisposableBean {

    private static final int MOST_EVENTS = 500;
    private static final int SENDERS = 4;
    private static final long BEAT_MILLIS = 15_000;

    private final Bench bench;
    private final People people;
    private final Clock clock;
    private final LiveFeed feed;
    private final Map<Long, Set<Client>> clients = new ConcurrentHashMap<>();
    /** Pages that follow every run. */
    private final Set<Client> watchers = ConcurrentHashMap.newKeySet();
    /** A few, so that one tablet that does not read its stream holds nobody else up. */
    private final ExecutorService sender = Executors.newFixedThreadPool(SENDERS, work -> {
        Thread thread = new Thread(work, "live-pages");
        thread.setDaemon(true);
        return thread;
    });

    LiveHub(
            Bench bench,
            People people,
            Clock clock,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.bench = bench;
        this.people = people;
        this.clock = clock;
        this.feed = new LiveFeed(url, user, password, this::changed);
    }

    /**
     * Whose page it is: it ends with their session.
     *
     * @param session null where nobody signs in
     */
    record Owner(String login, String session) {}

    private static final class Client {
        private final SseEmitter emitter = new SseEmitter(0L);
        private final AtomicBoolean told = new AtomicBoolean();
        private final Owner owner;
        private long seen;

        private Client(Owner owner, long seen) {
            this.owner = owner;
            this.seen = seen;
        }
    }

    /** A stream of what happens in a run after {@code seen}. */
    SseEmitter open(long run, long seen, Owner owner) {
        Client client = new Client(owner, seen);
        Set<Client> others = clients.computeIfAbsent(run, r -> ConcurrentHashMap.newKeySet());
        Runnable gone = () -> others.remove(client);
        client.emitter.onCompletion(gone);
        client.emitter.onTimeout(gone);
        client.emitter.onError(e -> gone.run());
        others.add(client);
        sender.execute(() -> catchUp(run, client));
        return client.emitter;
    }

    /** A stream that tells that something happened in any run. */
    SseEmitter openAll(Owner owner) {
        Client client = new Client(owner, 0);
        Runnable gone = () -> watchers.remove(client);
        client.emitter.onCompletion(gone);
        client.emitter.onTimeout(gone);
        client.emitter.onError(e -> gone.run());
        watchers.add(client);
        return client.emitter;
    }

    private void changed(long run) {
        watchers.forEach(this::tell);
        if (run == LiveFeed.EVERY_RUN) {
            clients.keySet().forEach(this::catchUp);
            return;
        }
        catchUp(run);
    }

    /** One telling on its way is enough, however much happens meanwhile. */
    private void tell(Client client) {
        if (client.told.compareAndSet(false, true)) {
            sender.execute(() -> {
                client.told.set(false);
                send(client, SseEmitter.event().name("change").data(""));
            });
        }
    }

    private void catchUp(long run) {
        clients.getOrDefault(run, Set.of()).forEach(client -> sender.execute(() -> catchUp(run, client)));
    }

    private void catchUp(long run, Client client) {
        synchronized (client) {
            for (Bench.Event event : bench.eventsAfter(run, client.seen, MOST_EVENTS)) {
                send(
                        client,
                        SseEmitter.event()
                                .id(String.valueOf(event.sequence()))
                                .name("change")
                                .data(event.kind()));
                client.seen = event.sequence();
            }
        }
    }

    /** Whoever is kept out, or was given another role or password, is left at once by this instance, by another at its next beat. */
    @EventListener
    void ended(SignedOut person) {
        end(client -> client.owner.login().equals(person.login()) && client.owner.session() != null);
    }

    private void end(Predicate<Client> which) {
        everyone().filter(which).toList().forEach(client -> client.emitter.complete());
    }

    @Scheduled(fixedDelay = BEAT_MILLIS)
    void beat() {
        List<String> sessions = everyone()
                .map(client -> client.owner.session())
                .filter(Objects::nonNull)
                .distinct()
                .toList();
        if (!sessions.isEmpty()) {
            Set<String> there = people.sessionsThere(sessions, clock.instant());
            end(client -> client.owner.session() != null && !there.contains(client.owner.session()));
        }
        everyone()
                .forEach(client ->
                        sender.execute(() -> send(client, SseEmitter.event().comment(""))));
    }

    private Stream<Client> everyone() {
        return Stream.concat(watchers.stream(), clients.values().stream().flatMap(Set::stream));
    }

    private static void send(Client client, SseEmitter.SseEventBuilder event) {
        try {
            client.emitter.send(event);
        } catch (IOException | IllegalStateException e) {
            client.emitter.completeWithError(e);
        }
    }

    @Override
    public void destroy() {
        feed.close();
        everyone().forEach(client -> client.emitter.complete());
        sender.shutdownNow();
    }
}

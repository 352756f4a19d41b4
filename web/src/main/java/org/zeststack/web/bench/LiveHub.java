package org.zeststack.web.bench;

import java.io.IOException;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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

    private static final Logger LOG = LoggerFactory.getLogger(LiveHub.class);
    private static final int MOST_EVENTS = 500;
    /** Tablets that do not read their stream hold a sender each, until their connection times out. */
    private static final int MOST_SENDERS = 64;

    /** More pages than this of one person are not followed: the oldest ends. */
    private static final int MOST_PAGES = 24;

    private static final long BEAT_MILLIS = 15_000;

    private final Bench bench;
    private final People people;
    private final Clock clock;
    private final LiveFeed feed;
    private final Map<Long, Set<Client>> clients = new ConcurrentHashMap<>();
    /** Pages that follow every run. */
    private final Set<Client> watchers = ConcurrentHashMap.newKeySet();
    /** One for every page that is being told something, so that a tablet that does not read its stream holds nobody else up. */
    private final ExecutorService sender = senders();

    private static ExecutorService senders() {
        ThreadPoolExecutor pool = new ThreadPoolExecutor(
                MOST_SENDERS, MOST_SENDERS, 10, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), work -> {
                    Thread thread = new Thread(work, "live-pages");
                    thread.setDaemon(true);
                    return thread;
                });
        pool.allowCoreThreadTimeOut(true);
        return pool;
    }

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

    private final class Client {
        private final SseEmitter emitter = new SseEmitter(0L);
        private final AtomicBoolean busy = new AtomicBoolean();
        private final AtomicBoolean news = new AtomicBoolean();
        private final AtomicBoolean beat = new AtomicBoolean();
        private final long openedAt = System.nanoTime();
        private final Owner owner;
        private final Consumer<Client> teller;
        private long seen;

        private Client(Owner owner, Consumer<Client> teller, long seen, Set<Client> among) {
            this.owner = owner;
            this.teller = teller;
            this.seen = seen;
            Runnable gone = () -> among.remove(this);
            emitter.onCompletion(gone);
            emitter.onTimeout(gone);
            emitter.onError(e -> gone.run());
            among.add(this);
        }

        /** Tells what is new; while it is still being told something, once more after that, and never twice at once. */
        private void tell() {
            news.set(true);
            work();
        }

        private void work() {
            if (busy.compareAndSet(false, true)) {
                sender.execute(this::tellAll);
            }
        }

        private void tellAll() {
            try {
                while (news.getAndSet(false)) {
                    teller.accept(this);
                }
                if (beat.getAndSet(false)) {
                    send(this, SseEmitter.event().comment(""));
                }
            } catch (RuntimeException unread) {
                // The database does not answer; every page is told once more when it does again.
                LOG.debug("A page could not be told", unread);
            } finally {
                busy.set(false);
            }
            if (news.get()) {
                work();
            }
        }

        /** Its connection may not take anything: that must hold nobody else up. */
        private void end() {
            sender.execute(() -> {
                try {
                    emitter.complete();
                } catch (IllegalStateException gone) {
                    LOG.debug("Its connection went a moment ago", gone);
                }
            });
        }
    }

    /** A stream of what happens in a run after {@code seen}. */
    SseEmitter open(long run, long seen, Owner owner) {
        Set<Client> others = clients.computeIfAbsent(run, r -> ConcurrentHashMap.newKeySet());
        Client client = new Client(owner, c -> catchUp(run, c), seen, others);
        endOldest(owner);
        client.tell();
        return client.emitter;
    }

    /** A stream that tells that something happened in any run; one telling on its way is enough, however much happens meanwhile. */
    SseEmitter openAll(Owner owner) {
        Client client =
                new Client(owner, c -> send(c, SseEmitter.event().name("change").data("")), 0, watchers);
        endOldest(owner);
        return client.emitter;
    }

    private void endOldest(Owner owner) {
        List<Client> pages = everyone()
                .filter(c -> c.owner.login().equals(owner.login()))
                .sorted(Comparator.comparingLong(c -> c.openedAt))
                .toList();
        pages.stream().limit(Math.max(0, pages.size() - MOST_PAGES)).forEach(Client::end);
    }

    private void changed(long run) {
        watchers.forEach(Client::tell);
        if (run == LiveFeed.EVERY_RUN) {
            clients.keySet().forEach(this::catchUp);
            return;
        }
        catchUp(run);
    }

    private void catchUp(long run) {
        clients.getOrDefault(run, Set.of()).forEach(Client::tell);
    }

    private void catchUp(long run, Client client) {
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

    /** Whoever is kept out, or was given another role or password, is left at once by this instance, by another at its next beat. */
    @EventListener
    void ended(SignedOut person) {
        end(client -> client.owner.login().equals(person.login()) && client.owner.session() != null);
    }

    private void end(Predicate<Client> which) {
        everyone().filter(which).toList().forEach(Client::end);
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
        everyone().forEach(client -> {
            client.beat.set(true);
            client.work();
        });
    }

    /** How many pages are open here. */
    long following() {
        return everyone().count();
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
        everyone().forEach(Client::end);
        sender.shutdown();
    }
}

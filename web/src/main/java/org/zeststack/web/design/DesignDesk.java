package org.zeststack.web.design;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.zeststack.app.Missing;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.Saved;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.web.security.SignedIn;

/** Saves what stands in a design's form. */
@Component
public class DesignDesk {

    /** Stands in the address of what is not saved yet. */
    public static final long NEW = 0;

    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_WHY = 300;

    private final TransactionTemplate transaction;
    private final Clock clock;

    DesignDesk(TransactionTemplate transaction, Clock clock) {
        this.transaction = transaction;
        this.clock = clock;
    }

    public Stamp stamp(SignedIn me) {
        return new Stamp(me.name(), clock.instant());
    }

    /**
     * Saves a draft and, if the form says so, keeps it as a version; both or neither. What is new exists from here on.
     *
     * @param id the design's, or {@link #NEW}
     * @param content what the form says; empty where it is faulty
     * @param fields how a saved design stands in the form, to show what another saver left
     * @return the id it is saved under; empty where it was not: then the form holds the faults (400) or what the other saver left (409)
     */
    public <T> OptionalLong save(
            Designs<T> designs,
            long id,
            FormInput form,
            Optional<T> content,
            Function<Saved<T>, Map<String, String>> fields,
            SignedIn me,
            HttpServletResponse response) {
        String name = form.required("name", LONGEST_NAME);
        boolean version = form.has("keep");
        String why = version ? form.required("why", LONGEST_WHY) : "";
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return OptionalLong.empty();
        }
        try {
            int lock = form.lock();
            return OptionalLong.of(transaction.execute(tx -> {
                boolean fresh = id == NEW;
                long saved = fresh ? designs.create(name, content.orElseThrow(), stamp(me)) : id;
                if (!fresh) {
                    designs.saveDraft(id, name, content.orElseThrow(), lock, stamp(me));
                }
                if (version) {
                    designs.keepVersion(saved, fresh ? 0 : lock + 1, why, stamp(me));
                }
                return saved;
            }));
        } catch (StaleEdit stale) {
            Saved<T> saved = designs.draft(id).orElseThrow(() -> new Missing("This design"));
            form.clash(saved.stamp().by(), fields.apply(saved));
            form.typed().put("lock", String.valueOf(saved.lock()));
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            return OptionalLong.empty();
        }
    }
}

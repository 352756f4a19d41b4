package org.zeststack.store.released;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.quantity.Numbers.fixed;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.zip.GZIPInputStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;
import org.jooq.DSLContext;
import org.testng.annotations.Test;
import org.zeststack.core.Recorded;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.ledger.MassFlow;
import org.zeststack.core.ledger.RunAccount;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.TestBench;
import org.zeststack.store.design.Designs;
import org.zeststack.store.design.TestDesigns;
import org.zeststack.store.json.StoredJson;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.run.TestRuns;
import org.zeststack.store.sheet.WrittenSheet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Rows as releases of before wrote them, from the day and the change that they are named by: migrated, read and closed today, they say
 * what was read through once. A release whose rows have the shape of an earlier one's is not kept.
 */
public class ReleasedDataTest {

    private static final List<String> TABLES =
            List.of("design", "design_version", "mould", "thermometer", "run", "component", "entry");
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();

    private static List<String> releases() throws IOException {
        try (InputStream list = ReleasedDataTest.class.getResourceAsStream("releases.txt")) {
            return new String(list.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
        }
    }

    private static JsonNode rows(String release) {
        try (InputStream file = ReleasedDataTest.class.getResourceAsStream(release + ".json.gz");
                InputStream text = new GZIPInputStream(file)) {
            return MAPPER.readTree(text.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A database as that release left it, brought up to today. */
    private static DSLContext migrated(JsonNode rows) {
        TestDatabase database = TestDatabase.empty();
        flyway(database).target(rows.get("schema").asString()).load().migrate();
        DSLContext db = database.dsl();
        for (String table : TABLES) {
            db.execute(
                    "insert into %1$s overriding system value select * from jsonb_populate_recordset(null::%1$s, ?::jsonb)"
                            .formatted(table),
                    rows.get(table).toString());
        }
        flyway(database).load().migrate();
        return db;
    }

    private static FluentConfiguration flyway(TestDatabase database) {
        return Flyway.configure().dataSource(database.url(), database.user(), "");
    }

    @Test
    public void everyReleasesRowsAreReadAndSayTheSame() throws IOException {
        StringBuilder told = new StringBuilder();
        for (String release : releases()) {
            DSLContext db = migrated(rows(release));
            told.append("# ").append(release).append('\n');
            runs(db, told);
            designs("bar", TestDesigns.bars(db), told);
            designs("box", TestDesigns.boxes(db), told);
            designs("formula", TestDesigns.formulas(db), told);
        }
        Recorded.check(ReleasedDataTest.class, "read-today.txt", told.toString());
    }

    private static void runs(DSLContext db, StringBuilder told) {
        Runs runs = TestRuns.of(db);
        Bench bench = TestBench.of(db);
        for (Run run : runs.list(List.of(Run.Status.values()))) {
            RunSheet sheet = run.sheet().orElseThrow();
            List<BenchEntry> entries = bench.entries(run.id());
            told.append("%s, %d of %d pieces, %d steps%n"
                    .formatted(
                            sheet.bar().name(),
                            sheet.pieces().wanted(),
                            sheet.pieces().toMake(),
                            sheet.steps().size()));
            TreeMap<String, Integer> written = new TreeMap<>();
            entries.forEach(e -> written.merge(e.body().getClass().getSimpleName(), 1, Integer::sum));
            told.append("  written: %s%n".formatted(written));
            sheet.pots()
                    .forEach(pot -> told.append("  pot %s %s, %s g, %s, stop %s%n"
                            .formatted(
                                    pot.key(),
                                    pot.name(),
                                    fixed(pot.rawGrams(), 1),
                                    pot.finished().by(),
                                    pot.cooked() ? fixed(pot.stop().reading(), 2) : "none")));
            sheet.couvertures()
                    .forEach(c -> told.append("  bowl %s %s g, %s; allergens %s%n"
                            .formatted(
                                    c.key(),
                                    fixed(c.meltGrams(), 1),
                                    c.window().map(w -> w.work().inWords()).orElse("not tempered"),
                                    c.of().allergens().orElse(null))));
            sheet.laid()
                    .forEach(l -> told.append("  laid %s %s g%n"
                            .formatted(l.slug(), fixed(l.deposit().total(), 1))));
            BenchState state = BenchState.of(sheet, entries);
            assertTrue(
                    sheet.steps().stream().allMatch(s -> sheet.step(s.id()).orElseThrow() == s),
                    "steps are told apart");
            RunAccount account = RunAccount.of(sheet, state, Bounds.shipped());
            told.append("  %d good, %d reworked, %d second, %d rejected%n"
                    .formatted(
                            account.pieces().good(),
                            account.pieces().reworked(),
                            account.pieces().second(),
                            account.pieces().rejected()));
            account.layers()
                    .forEach(l -> told.append("  layer %s %s: %s%n"
                            .formatted(
                                    l.target().key(), fixed(l.target().window().targetGrams(), 2), l.summary())));
            account.flows().forEach(flow -> told.append(flow(flow)));
            assertEquals(WrittenSheet.read(WrittenSheet.write(sheet)), sheet, "and is kept anew as it is read");
        }
    }

    private static String flow(MassFlow flow) {
        List<String> outs = new ArrayList<>();
        flow.outs().forEach(out -> outs.add(out.words() + " " + amount(out.amount())));
        return "  flow %s: %s, finished %s: %s%s%n"
                .formatted(
                        flow.key(),
                        amount(flow.weighed()),
                        amount(flow.finished()),
                        String.join(", ", outs),
                        flow.question() == null ? "" : " (" + flow.question() + ")");
    }

    private static String amount(MassFlow.Amount amount) {
        return fixed(amount.planned(), 1) + (amount.measured() == null ? "" : " → " + fixed(amount.measured(), 1));
    }

    private static <T> void designs(String kind, Designs<T> designs, StringBuilder told) {
        for (Designs.Version<T> version : designs.current()) {
            Object content = version.content();
            assertEquals(
                    StoredJson.read(StoredJson.write(content), content.getClass()),
                    content,
                    "and is kept anew as it is read");
            told.append("%s %s: %s%n".formatted(kind, version.name(), ordered(content)));
        }
    }

    private static String ordered(Object content) {
        return MAPPER.writeValueAsString(
                MAPPER.readValue(StoredJson.write(content).data(), Object.class));
    }
}

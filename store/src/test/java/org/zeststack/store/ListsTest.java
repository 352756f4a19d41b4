package org.zeststack.store;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.store.schema.Tables.RUN;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jooq.DSLContext;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.store.design.Designs;
import org.zeststack.store.design.TestDesigns;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.ingredient.TestStoreRoom;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.run.TestRuns;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.TestWorkshop;

/** Lists as the database searches, sorts and cuts them, against the same done here in memory. */
public class ListsTest {

    private static final Instant MORNING = Instant.parse("2026-03-01T08:00:00Z");
    private static final List<String> NAMES =
            List.of("Äpfel", "apple", "Birch", "birch 100%", "under_score", "Zest", "cloud!", "Öre");

    private final Random random = new Random(12);
    private DSLContext db;
    private Designs<Formula> formulas;
    private List<Designs.Listed> made;

    @BeforeClass
    public void fill() {
        db = TestDatabase.fresh().dsl();
        formulas = TestDesigns.formulas(db);
        made = new ArrayList<>();
        for (int i = 0; i < 53; i++) {
            String name = NAMES.get(i % NAMES.size()) + (i < NAMES.size() ? "" : " " + i);
            Stamp stamp = new Stamp("Ada", MORNING.plusSeconds(60L * random.nextInt(10_000)));
            Formula formula = of(i % 2 == 0 ? Family.CARAMEL : Family.NUT_PASTE, "sugar");
            long id = formulas.create(name, formula, stamp);
            boolean aside = i % 10 == 9;
            if (i % 3 != 0) {
                formulas.keepVersion(id, 0, "first", stamp);
            }
            if (aside) {
                formulas.archive(id, true, stamp);
            }
            int version = i % 3 == 0 ? 0 : 1;
            made.add(new Designs.Listed(id, name, version, version, stamp, aside ? stamp : null));
        }
    }

    private static Formula of(Family family, String... ingredients) {
        return new Formula(
                family,
                List.of(ingredients).stream()
                        .map(i -> new FormulaLine(i, 100, Role.POT))
                        .toList(),
                null,
                0,
                List.of());
    }

    private Family family(Designs.Listed listed) {
        return made.indexOf(listed) % 2 == 0 ? Family.CARAMEL : Family.NUT_PASTE;
    }

    private static String small(String text) {
        return text.toLowerCase(Locale.ROOT);
    }

    private List<Designs.Listed> inMemory(String words, Designs.By by, Predicate<Designs.Listed> which) {
        Comparator<Designs.Listed> name =
                Comparator.comparing((Designs.Listed l) -> small(l.name())).thenComparing(Designs.Listed::id);
        Comparator<Designs.Listed> order =
                switch (by) {
                    case KIND -> Comparator.comparing(this::family).thenComparing(name);
                    case CHANGED ->
                        Comparator.comparing((Designs.Listed l) -> l.stamp().at())
                                .thenComparing(Designs.Listed::id)
                                .reversed();
                    case NAME, RUN -> name;
                };
        return made.stream()
                .filter(which)
                .filter(l -> small(l.name() + " " + family(l).title()).contains(small(words.strip())))
                .sorted(order)
                .toList();
    }

    @Test
    public void formulasComeAsTheyWouldFromMemory() {
        for (Designs.By by : Designs.By.values()) {
            for (String words : List.of("", "birch", "ä", "ÖRE", "%", "_", "!", " caramel ", "nothing is called so")) {
                List<Designs.Listed> all = inMemory(words, by, l -> l.archived() == null);
                int pages = Math.max(1, (all.size() + Part.ROWS - 1) / Part.ROWS);
                List<Designs.Listed> read = IntStream.rangeClosed(1, pages)
                        .mapToObj(page -> formulas.page(words, by, page))
                        .peek(part -> assertEquals(part.found(), all.size(), words))
                        .peek(part -> assertEquals(part.pages(), pages, words))
                        .flatMap(part -> part.rows().stream())
                        .toList();
                assertEquals(read, all, words + " by " + by);
                assertEquals(formulas.page(words, by, 99).page(), pages, "the nearest page there is");
                assertEquals(formulas.page(words, by, -5).page(), 1);
            }
        }
        assertEquals(
                List.copyOf(formulas.archived("").rows()), inMemory("", Designs.By.CHANGED, l -> l.archived() != null));
        assertTrue(formulas.any());
        assertTrue(!TestDesigns.bars(TestDatabase.fresh().dsl()).any());
    }

    @Test
    public void choicesAreVersionsThatAreMadeByName() {
        List<Designs.Choice> choices =
                inMemory("", Designs.By.NAME, l -> l.archived() == null && l.newest() > 0).stream()
                        .map(l -> new Designs.Choice(l.id(), l.current(), l.name()))
                        .toList();
        assertEquals(
                formulas.choices().stream()
                        .filter(c -> made.stream().anyMatch(l -> l.id() == c.design()))
                        .toList(),
                choices);
    }

    @Test
    public void aFewAreChosenFromThoseChangedLast() {
        List<Designs.Listed> last =
                inMemory("", Designs.By.CHANGED, l -> l.archived() == null && l.newest() > 0).stream()
                        .limit(7)
                        .toList();
        assertEquals(
                formulas.lately(7).stream().map(Designs.Choice::design).sorted().toList(),
                last.stream().map(Designs.Listed::id).sorted().toList());
        assertEquals(
                formulas.choice(last.get(0).id()).map(Designs.Choice::name),
                Optional.of(last.get(0).name()));
        assertEquals(formulas.choice(made.get(0).id()), Optional.empty(), "it has no version");
        assertEquals(formulas.choice(made.get(19).id()), Optional.empty(), "it is archived");
    }

    @Test
    public void whatAFormulaGoesIntoIsToldByTheVersionsThatAreMade() {
        Stamp stamp = new Stamp("Ada", MORNING);
        long gel = made.get(1).id();
        long none = made.get(2).id();
        long crunch = formulas.create("crunch", of(Family.CARAMEL, new FormulaLink(gel, 1).text()), stamp);
        assertEquals(formulas.usedIn(List.of(gel)), Map.of(), "a draft is not made");
        formulas.keepVersion(crunch, 0, "first", stamp);
        assertEquals(formulas.usedIn(List.of(gel, none)), Map.of(gel, List.of("crunch")));
        assertEquals(
                formulas.currentWith(gel).stream().map(Designs.Version::design).toList(), List.of(crunch));
        formulas.saveDraft(crunch, "crunch without", of(Family.CARAMEL, "sugar"), 0, stamp);
        formulas.keepVersion(crunch, 1, "without", stamp);
        assertEquals(formulas.usedIn(List.of(gel)), Map.of(), "the newest one takes none");
        formulas.choose(crunch, 1);
        assertEquals(formulas.usedIn(List.of(gel)), Map.of(gel, List.of("crunch")), "the first is made again");
        formulas.archive(crunch, true, stamp);
        assertEquals(formulas.usedIn(List.of(gel)), Map.of());
    }

    @Test
    public void runsComeByDayBarAndState() {
        Runs runs = TestRuns.of(db);
        List<Long> ids = new ArrayList<>();
        for (int i = 0; i < 47; i++) {
            long id = TestRuns.planned(db);
            db.update(RUN)
                    .set(RUN.BAR_NAME, NAMES.get(i % NAMES.size()))
                    .set(RUN.PLANNED_FOR, LocalDate.of(2026, 3, 1).plusDays(i * 7 % 30))
                    .where(RUN.ID.eq(id))
                    .execute();
            if (i % 3 > 0) {
                runs.start(id, TestRun.sheet(), MORNING);
            }
            if (i % 3 == 2) {
                runs.close(id, MORNING);
            }
            ids.add(id);
        }
        List<Run> all = runs.find(ids);
        Comparator<Run> day =
                Comparator.comparing(Run::plannedFor).thenComparing(Run::id).reversed();
        Map<Runs.By, Comparator<Run>> orders = Map.of(
                Runs.By.DAY, day,
                Runs.By.BAR, Comparator.comparing((Run r) -> small(r.barName())).thenComparing(day),
                Runs.By.STATE,
                        Comparator.comparing(
                                        (Run r) -> List.of(Run.Status.STARTED, Run.Status.PLANNED, Run.Status.CLOSED)
                                                .indexOf(r.status()))
                                .thenComparing(day));
        for (Runs.By by : Runs.By.values()) {
            for (String words : List.of("", "BIRCH", "ö", "closed", "zest planned", "100%")) {
                for (List<Run.Status> states : List.of(List.of(Run.Status.values()), List.of(Run.Status.CLOSED))) {
                    List<Long> wanted = all.stream()
                            .filter(r -> states.contains(r.status()))
                            .filter(r -> small(r.barName() + " " + r.status().words())
                                    .contains(small(words)))
                            .sorted(orders.get(by))
                            .map(Run::id)
                            .toList();
                    List<Long> read = IntStream.rangeClosed(1, 3)
                            .mapToObj(page -> runs.page(states, words, by, page))
                            .peek(part -> assertEquals(part.found(), wanted.size()))
                            .flatMap(part -> part.rows().stream())
                            .map(Runs.Brief::id)
                            .distinct()
                            .toList();
                    assertEquals(read, wanted, words + " by " + by + " of " + states);
                }
            }
        }
        List<Long> bars = all.stream().map(Run::bar).toList();
        assertEquals(runs.newestOf(bars, List.of(Run.Status.CLOSED)).keySet().size(), 15);
        long formula = TestRun.sheet().formulas().get(0).formula();
        assertEquals(
                runs.newestWith(List.of(formula, 9_999L), 4).get(formula).stream()
                        .map(Runs.Brief::id)
                        .toList(),
                all.stream()
                        .filter(r -> r.status() != Run.Status.PLANNED)
                        .sorted(Comparator.comparing(Run::id).reversed())
                        .limit(4)
                        .sorted(day)
                        .map(Run::id)
                        .toList());
        assertEquals(runs.brief(List.of(Run.Status.PLANNED), 3).size(), 3);
    }

    @Test
    public void lotsComeByTheirBestBefore() {
        Lots lots = TestStoreRoom.lots(db);
        Stamp stamp = new Stamp("Ada", MORNING);
        List<Long> ids = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            LocalDate best = i % 4 == 0 ? null : LocalDate.of(2026, 9, 1).plusDays(i * 11 % 40);
            Lot lot =
                    new Lot("L%" + i, "Any", LocalDate.of(2026, 3, 1), best, null, Map.of(), 42, null, false, "shelf");
            ids.add(lots.add(
                    i % 2 == 0 ? "sugar" : "honey", lot, Lots.Move.RECEIVED, 100 + i, UUID.randomUUID(), stamp));
        }
        Aside aside = TestWorkshop.aside(db);
        aside.put(Aside.Kind.LOT, ids.get(3), true, stamp);
        lots.move(ids.get(2), UUID.randomUUID(), Lots.Move.USED, 2, "", stamp);
        List<Lots.Kept> kept = lots.of(List.of("sugar", "honey"), List.of());
        assertEquals(kept.size(), 29);
        assertTrue(lots.of(List.of(), List.of(ids.get(3))).size() == 1, "one that a run took is still found");
        assertEquals(
                kept,
                kept.stream()
                        .sorted(Comparator.comparing(
                                        (Lots.Kept k) -> k.lot().bestBefore(),
                                        Comparator.nullsLast(Comparator.naturalOrder()))
                                .thenComparing(Lots.Kept::id))
                        .toList());
        assertEquals(lots.page("", List.of(), 1).rows(), kept.subList(0, 20));
        assertEquals(lots.page("", List.of(), 2).rows(), kept.subList(20, 29));
        assertEquals(lots.page("l%2", List.of(), 1).found(), 11, "L%2 and L%20 to L%29");
        assertEquals(lots.page("l%2", List.of("honey"), 1).found(), 11 + 14 - 5, "and what is honey");
        assertEquals(lots.putAside("", List.of()).rows().get(0).lot().id(), (long) ids.get(3));
        assertEquals(lots.putAside("L%4", List.of()).found(), 0);
        double sugar = IntStream.range(0, 15).map(i -> 100 + 2 * i).sum() - 2;
        assertEquals(lots.gramsByIngredient().get("sugar"), sugar, 1e-9);
        assertEquals(Optional.of(98.0 + 2), lots.find(ids.get(2)).map(Lots.Kept::gramsLeft));
        assertEquals(List.copyOf(new TreeSet<>(lots.whats())), List.of("honey", "sugar"));
    }
}

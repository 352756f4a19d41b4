package org.zeststack.web.temper;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.zeststack.app.bench.LoggerLines;
import org.zeststack.app.bench.ReadingDoor;
import org.zeststack.core.air.DewPoint;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Coating;
import org.zeststack.core.temper.Colouring;
import org.zeststack.core.temper.CoolingCurve;
import org.zeststack.core.temper.HandOver;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Palette;
import org.zeststack.core.temper.Room;
import org.zeststack.core.temper.Seed;
import org.zeststack.core.temper.Setting;
import org.zeststack.core.temper.Slab;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.temper.Thickness;
import org.zeststack.core.temper.Untempered;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.web.page.Page;
import org.zeststack.web.temper.Couvertures.Couverture;

/** Pages of the bowl: what is typed stands in the address, so that a page can be kept and sent. */
@Page
class BowlController {

    private static final Range PERCENT = new Range(0, 100, "%");
    private static final Range PIECES = new Range(1, 100_000, "pieces");

    private final Couvertures couvertures;
    private final ReadingDoor door;
    private final OwnBounds own;

    BowlController(Couvertures couvertures, ReadingDoor door, OwnBounds own) {
        this.own = own;
        this.couvertures = couvertures;
        this.door = door;
    }

    /** What is typed over what stands there at first; what was emptied stays empty. */
    private FormInput form(Map<String, String> typed, String... usual) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (int i = 0; i < usual.length; i += 2) {
            fields.put(usual[i], usual[i + 1]);
        }
        List<Couverture> all = couvertures.all();
        fields.put("couverture", all.isEmpty() ? "" : all.get(0).slug());
        fields.putAll(typed);
        return FormInput.of(fields);
    }

    private String shown(String section, FormInput form, Model model) {
        model.addAttribute("section", section);
        model.addAttribute("form", form);
        model.addAttribute("couvertures", couvertures.all());
        model.addAttribute("materials", Bowl.Material.values());
        return "temper/page";
    }

    private Optional<Couverture> chosen(FormInput form) {
        Optional<Couverture> found = couvertures.find(form.text("couverture"));
        if (found.isEmpty()) {
            form.add(Fault.of(
                    "couverture",
                    form.text("couverture"),
                    "Choose a couverture of the store room; there must be one."));
        }
        return found;
    }

    private static Bowl bowl(FormInput form) {
        Bowl.Material material = form.choice("bowl", Bowl.Material.class);
        double grams = form.has("bowlGrams") ? form.number("bowlGrams", Bowl.GRAMS) : 0;
        return new Bowl(grams, material);
    }

    /** Computes where nothing is faulty; what the core refuses is told beside its field. */
    private static <T> T computed(FormInput form, Supplier<T> what) {
        return form.faulty() ? null : form.build(what).orElse(null);
    }

    /** A couverture with what seed and slab ask of a bowl of it. */
    record Beside(Couverture couverture, TemperPlan seed, TemperPlan slab, TemperPlan bath) {}

    @GetMapping("/temper")
    String plans(@RequestParam Map<String, String> typed, Model model) {
        FormInput form = form(
                typed,
                "grams",
                "1000",
                "bowl",
                "STEEL",
                "bowlGrams",
                "700",
                "roomCelsius",
                "20",
                "thermometer",
                "probe");
        Optional<Couverture> of = chosen(form);
        double grams = form.number("grams", Seed.CHOCOLATE_GRAMS);
        Bowl bowl = bowl(form);
        double room = form.celsius("roomCelsius", Room.CELSIUS);
        Double humidity = form.has("humidity") ? form.number("humidity", DewPoint.RELATIVE_HUMIDITY_PERCENT) : null;
        boolean measured = !form.text("thermometer").equals("none");
        if (!form.faulty() && of.isPresent()) {
            model.addAttribute(
                    "plans",
                    Arrays.stream(Method.values())
                            .map(m -> TemperPlan.of(m, asked(of.get(), grams, bowl, room, measured)))
                            .toList());
            model.addAttribute("chosen", of.get());
            model.addAttribute("dew", humidity == null ? null : DewPoint.celsius(room, humidity));
            model.addAttribute(
                    "beside",
                    couvertures.all().stream()
                            .map(c -> {
                                TemperPlan.Of asked = asked(c, grams, bowl, room, true);
                                return new Beside(
                                        c,
                                        TemperPlan.of(Method.SEED, asked),
                                        TemperPlan.of(Method.SLAB, asked),
                                        TemperPlan.of(Method.BATH, asked));
                            })
                            .toList());
        }
        model.addAttribute("untempered", Untempered.values());
        return shown("plans", form, model);
    }

    private static TemperPlan.Of asked(Couverture of, double grams, Bowl bowl, double room, boolean measured) {
        return new TemperPlan.Of(of.window(), grams, of.cocoaButterFraction(), bowl, room, measured);
    }

    /**
     * Seed by its balance.
     *
     * @param stirredGrams what goes in; null where all of it is to melt
     * @param landsCelsius where less than melts lands; null where enough is stirred in
     */
    record Seeded(Seed seed, Double stirredGrams, Double landsCelsius) {}

    /**
     * A slab that comes back.
     *
     * @param celsius where both land, or where the kept part must be
     * @param lands which of the two it is
     */
    record Returned(double celsius, boolean lands) {

        public boolean lost() {
            return lands && celsius > TemperWindow.FORM_V_MELTS_CELSIUS;
        }
    }

    @GetMapping("/temper/balance")
    String balance(@RequestParam Map<String, String> typed, Model model) {
        FormInput form = form(
                typed,
                "chocolateGrams",
                "1000",
                "fromCelsius",
                "46",
                "toCelsius",
                "32",
                "seedCelsius",
                "20",
                "cocoaButter",
                "36",
                "bowl",
                "STEEL",
                "bowlGrams",
                "",
                "stirredGrams",
                "",
                "slabFraction",
                "2/3",
                "slabCelsius",
                "27",
                "endCelsius",
                "31",
                "keptCelsius",
                "");
        double grams = form.number("chocolateGrams", Seed.CHOCOLATE_GRAMS);
        double from = form.celsius("fromCelsius", Seed.FROM_CELSIUS);
        double to = form.celsius("toCelsius", Seed.TO_CELSIUS);
        double seedCelsius = form.celsius("seedCelsius", Seed.SEED_CELSIUS);
        double butter = form.number("cocoaButter", PERCENT) / 100;
        Bowl bowl = bowl(form);
        Double stirred = form.has("stirredGrams") ? form.number("stirredGrams", Seed.CHOCOLATE_GRAMS) : null;
        model.addAttribute("seeded", computed(form, () -> {
            Seed.Melt melt = new Seed.Melt(grams, from, to, bowl);
            Seed seed = Seed.of(melt, seedCelsius, butter, 1);
            boolean few = stirred != null && stirred < seed.grams();
            return new Seeded(seed, stirred, few ? Seed.lands(melt, stirred, seedCelsius, butter) : null);
        }));
        FormInput slab = FormInput.of(form.typed());
        double share = slab.number("slabFraction", Slab.FRACTION);
        double cold = slab.celsius("slabCelsius", Slab.SLAB_CELSIUS);
        boolean lands = slab.has("keptCelsius");
        double other =
                lands ? slab.celsius("keptCelsius", Slab.KEPT_CELSIUS) : slab.celsius("endCelsius", Slab.END_CELSIUS);
        model.addAttribute(
                "returned",
                computed(
                        slab,
                        () -> new Returned(
                                lands ? Slab.endCelsius(share, cold, other) : Slab.keptCelsius(share, cold, other),
                                lands)));
        form.addAll(slab.faults());
        return shown("balance", form, model);
    }

    @GetMapping("/temper/coating")
    String coating(@RequestParam Map<String, String> typed, Model model) {
        FormInput form = form(
                typed,
                "centreCelsius",
                "20",
                "coatMm",
                "1.5",
                "surface",
                "48",
                "secondsAPiece",
                "10",
                "roomCelsius",
                "20",
                "beforeGrams",
                "",
                "afterGrams",
                "",
                "dipped",
                "10",
                "pieces",
                "96",
                "leftGrams",
                "",
                "sheetMm",
                "3");
        Optional<Couverture> of = chosen(form);
        double centre = form.celsius("centreCelsius", Coating.CENTRE_CELSIUS);
        double mm = form.number("coatMm", Coating.COAT_MM);
        double surface = form.number("surface", Coating.SURFACE);
        double seconds = form.number("secondsAPiece", Coating.SECONDS);
        double room = form.celsius("roomCelsius", Coating.ROOM_CELSIUS);
        model.addAttribute(
                "coating",
                computed(
                        form,
                        () -> Coating.of(
                                new Coating.Piece(
                                        of.get().window(),
                                        of.get().cocoaButterFraction(),
                                        centre,
                                        mm,
                                        surface,
                                        seconds,
                                        room),
                                own.bounds())));
        FormInput weighed = FormInput.of(form.typed());
        if (weighed.has("beforeGrams") || weighed.has("afterGrams")) {
            double before = weighed.number("beforeGrams", Coating.PickUp.GRAMS);
            double after = weighed.number("afterGrams", Coating.PickUp.GRAMS);
            int dipped = weighed.whole("dipped", Coating.PickUp.PIECES);
            int pieces = weighed.whole("pieces", PIECES);
            Coating.PickUp pickUp = computed(weighed, () -> Coating.PickUp.of(before, after, dipped));
            model.addAttribute("pickUp", pickUp);
            model.addAttribute("forPieces", pickUp == null ? null : pickUp.forPieces(pieces));
        }
        if (weighed.has("leftGrams")) {
            double left = weighed.number("leftGrams", Seed.CHOCOLATE_GRAMS);
            double thick = weighed.number("sheetMm", Setting.THICK_MM);
            model.addAttribute("sheet", computed(weighed, () -> Coating.sheetSquareCm(left, thick)));
        }
        model.addAttribute("grain", Coating.withGrain());
        form.addAll(weighed.faults());
        return shown("coating", form, model);
    }

    /**
     * Where a layer may set, and how long it takes.
     *
     * @param bends minutes until it may be cut and bent; null where the air is too warm for it
     * @param stiff minutes until it no longer may; null as well
     * @param set minutes until it is set
     */
    record Place(Setting.Where where, double airCelsius, Double bends, Double stiff, Double set) {}

    @GetMapping("/temper/setting")
    String setting(@RequestParam Map<String, String> typed, Model model) {
        FormInput form = form(typed, "thickMm", "3", "faces", "1", "roomCelsius", "19");
        Optional<Couverture> of = chosen(form);
        double mm = form.number("thickMm", Setting.THICK_MM);
        int faces = form.whole("faces", new Range(1, 2, "faces"));
        double room = form.celsius("roomCelsius", Setting.AIR_CELSIUS);
        if (!form.faulty() && of.isPresent()) {
            Setting.Layer layer = new Setting.Layer(of.get().window(), of.get().cocoaButterFraction(), mm, faces);
            Range bends = Thickness.BENDS.celsius(layer.window());
            model.addAttribute("bends", bends);
            model.addAttribute(
                    "places",
                    Arrays.stream(Setting.Where.values())
                            .map(w -> {
                                double air = w == Setting.Where.ROOM ? room : w.celsius();
                                return new Place(
                                        w,
                                        air,
                                        minutes(layer, w, air, bends.greatest()),
                                        minutes(layer, w, air, bends.least()),
                                        minutes(layer, w, air, bends.least()));
                            })
                            .toList());
        }
        return shown("setting", form, model);
    }

    /** Null where the air is too warm. */
    private static Double minutes(Setting.Layer layer, Setting.Where where, double air, double until) {
        return air > until - 1 ? null : Double.valueOf(Setting.minutes(layer, where, air, until));
    }

    @GetMapping("/temper/colour")
    String colour(@RequestParam Map<String, String> typed, Model model) {
        FormInput form = form(typed, "gramsAMould", "6", "moulds", "4", "keeps", "10", "palette", "3 red\n1 white");
        double each = form.number("gramsAMould", Palette.GRAMS);
        int moulds = form.whole("moulds", Palette.MOULDS);
        double keeps = form.number("keeps", Palette.KEEPS);
        model.addAttribute("palette", computed(form, () -> Palette.of(form.text("palette"), each * moulds + keeps)));
        model.addAttribute("colourings", Colouring.all());
        return shown("colour", form, model);
    }

    @GetMapping("/temper/order")
    String order(@RequestParam(name = "of", required = false) List<String> of, Model model) {
        List<Couverture> all = couvertures.all();
        List<Couverture> wanted = of == null
                ? List.copyOf(all.stream()
                        .collect(Collectors.toMap(
                                c -> c.window().kind(), c -> c, (first, later) -> first, LinkedHashMap::new))
                        .values())
                : all.stream().filter(c -> of.contains(c.slug())).toList();
        model.addAttribute("wanted", wanted.stream().map(Couverture::slug).toList());
        model.addAttribute(
                "order", HandOver.of(wanted.stream().map(Couverture::bowl).toList()));
        return shown("order", form(Map.of()), model);
    }

    @GetMapping("/temper/curve")
    String curve(Model model) {
        return shown("curve", form(Map.of()), model);
    }

    /** Lines of a logger, typed or as a file. */
    @PostMapping("/temper/curve")
    String read(
            @RequestParam(defaultValue = "") String text,
            @RequestParam(required = false) MultipartFile file,
            Model model)
            throws IOException {
        boolean sent = file != null && !file.isEmpty();
        String lines = sent ? new String(file.getBytes(), StandardCharsets.UTF_8) : text;
        FormInput form = form(Map.of());
        // A file is longer than what anybody types, and its own reader judges how long it may be.
        form.typed().put("text", lines);
        Faults faults = new Faults();
        Map<Double, Double> readings = new TreeMap<>(LoggerLines.celsiusBySecond(lines, door.celsius(), faults));
        form.addAll(faults.list());
        if (!form.faulty()) {
            try {
                form.build(() -> CoolingCurve.of(readings)).ifPresent(curve -> {
                    model.addAttribute("curve", curve);
                    model.addAttribute("drawing", CurveDrawing.of(readings, curve));
                });
            } catch (Refusal refusal) {
                form.add(Fault.of("text", "", refusal.getMessage()));
            }
        }
        List<Fault> told = new ArrayList<>();
        form.faults().stream().filter(f -> f.field().equals("readings")).forEach(f -> told.add(f.at("text")));
        form.addAll(told);
        return shown("curve", form, model);
    }
}

package org.zeststack.web.api;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.cavity.FilledCavity;
import org.zeststack.core.cavity.FrustumCavity;
import org.zeststack.core.cavity.HalfCylinder;
import org.zeststack.core.cavity.HalfEllipsoid;
import org.zeststack.core.cavity.LinedCavity;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;

/** Calculators of cavities, slabs and sheets. */
final class CavityCalculators {

    private static final ApiField OPENING_LENGTH = opening("openingLengthMm", "Length at the opening");
    private static final ApiField OPENING_WIDTH = opening("openingWidthMm", "Width at the opening");
    private static final ApiField FLOOR_LENGTH =
            ApiField.required("floorLengthMm", Cavity.FLOOR_MM, "Length at the floor");
    private static final ApiField FLOOR_WIDTH =
            ApiField.required("floorWidthMm", Cavity.FLOOR_MM, "Width at the floor");
    private static final ApiField DEPTH = ApiField.required("depthMm", Cavity.DEPTH_MM, "Depth");
    private static final ApiField LENGTH = opening("lengthMm", "Length");
    private static final ApiField WIDTH = opening("widthMm", "Width");
    private static final ApiField RADIUS = ApiField.required("radiusMm", HalfCylinder.RADIUS_MM, "Radius, its depth");
    private static final ApiField OPENING_RADIUS =
            ApiField.required("openingRadiusMm", Dome.RADIUS_MM, "Radius of the opening");

    private static final ApiField SHELL = ApiField.required("shellMm", LinedCavity.SHELL_MM, "Shell thickness");
    private static final ApiField BACK = back("backMm", "Back as designed");
    private static final ApiField BACK_LEAST = back("backLeastMm", "Thinnest back");
    private static final ApiField BACK_GREATEST = back("backGreatestMm", "Thickest back");
    private static final ApiField SHELL_DENSITY =
            ApiField.required("shellGramsPerMl", FilledCavity.DENSITY, "Density of shell and back");
    private static final ApiField FILLING_DENSITY =
            ApiField.required("fillingGramsPerMl", FilledCavity.DENSITY, "Density of the filling");
    private static final List<ApiField> FILLED =
            List.of(SHELL, BACK, BACK_LEAST, BACK_GREATEST, SHELL_DENSITY, FILLING_DENSITY);

    private static final Map<String, ApiAnswer> FILLED_ANSWERS = Map.of(
            "cavityMl", ApiAnswer.number("Cavity, mL"),
            "shellMl", ApiAnswer.number("Shell, mL"),
            "fillingMl", ApiAnswer.number("Filling, mL"),
            "backMl", ApiAnswer.number("Back, mL"),
            "shellGrams", ApiAnswer.number("Shell, g"),
            "fillingGrams", ApiAnswer.number("Filling, g"),
            "backGrams", ApiAnswer.number("Back, g"),
            "fillingLeastGrams", ApiAnswer.number("Filling at the thickest back, g"),
            "fillingGreatestGrams", ApiAnswer.number("Filling at the thinnest back, g"));

    private static final ApiField SLAB_LENGTH = side("lengthMm", "Length of the slab");
    private static final ApiField SLAB_WIDTH = side("widthMm", "Width of the slab");
    private static final ApiField PIECE_LENGTH = piece("pieceLengthMm", "Length of a piece");
    private static final ApiField PIECE_WIDTH = piece("pieceWidthMm", "Width of a piece");
    private static final ApiField KERF = ApiField.optional("kerfMm", SlabCut.KERF_MM, 0, "Lost between two pieces");
    private static final ApiField TRIM =
            ApiField.optional("trimMm", SlabCut.TRIM_MM, 0, "Trimmed on each of the four sides");
    private static final ApiField DIAMETER =
            ApiField.required("diameterMm", Cutters.DIAMETER_MM, "Diameter of the cutter");
    private static final ApiField GAP = ApiField.optional("gapMm", Cutters.GAP_MM, 0, "Between two pieces");

    private CavityCalculators() {}

    private static ApiField opening(String name, String description) {
        return ApiField.required(name, Cavity.OPENING_MM, description);
    }

    private static ApiField back(String name, String description) {
        return ApiField.required(name, FilledCavity.BACK_MM, description);
    }

    private static ApiField side(String name, String description) {
        return ApiField.required(name, SlabCut.SLAB_MM, description);
    }

    private static ApiField piece(String name, String description) {
        Range range = SlabCut.PIECE_MM;
        return ApiField.required(name, range, description);
    }

    static List<Calculator> all() {
        return List.of(
                cavity(
                        "tapered",
                        "a tapered cavity",
                        List.of(OPENING_LENGTH, OPENING_WIDTH, FLOOR_LENGTH, FLOOR_WIDTH, DEPTH),
                        i -> new TaperedCavity(
                                i.get(OPENING_LENGTH),
                                i.get(OPENING_WIDTH),
                                i.get(FLOOR_LENGTH),
                                i.get(FLOOR_WIDTH),
                                i.get(DEPTH))),
                cavity(
                        "half-cylinder",
                        "a half-cylinder",
                        List.of(LENGTH, RADIUS),
                        i -> new HalfCylinder(i.get(LENGTH), i.get(RADIUS))),
                cavity(
                        "dome",
                        "a dome",
                        List.of(OPENING_RADIUS, DEPTH),
                        i -> new Dome(i.get(OPENING_RADIUS), i.get(DEPTH))),
                cavity(
                        "round",
                        "a round cavity with straight walls",
                        List.of(OPENING_WIDTH, FLOOR_WIDTH, DEPTH),
                        i -> new FrustumCavity(false, i.get(OPENING_WIDTH), i.get(FLOOR_WIDTH), i.get(DEPTH))),
                cavity(
                        "hexagonal",
                        "a hexagonal cavity, across its flats",
                        List.of(OPENING_WIDTH, FLOOR_WIDTH, DEPTH),
                        i -> new FrustumCavity(true, i.get(OPENING_WIDTH), i.get(FLOOR_WIDTH), i.get(DEPTH))),
                cavity(
                        "half-ellipsoid",
                        "a half ellipsoid; its inset is an approximation",
                        List.of(LENGTH, WIDTH, DEPTH),
                        i -> new HalfEllipsoid(i.get(LENGTH), i.get(WIDTH), i.get(DEPTH))),
                Calculator.ofNumbers(
                        "/slab/cut",
                        "Pieces of a slab, the better way round",
                        List.of(SLAB_LENGTH, SLAB_WIDTH, PIECE_LENGTH, PIECE_WIDTH, KERF, TRIM),
                        List.of(),
                        Map.of(
                                "across", ApiAnswer.number("Pieces side by side over the width"),
                                "along", ApiAnswer.number("Pieces one after another over the length"),
                                "pieces", ApiAnswer.number("Pieces in all"),
                                "turned",
                                        ApiAnswer.yesOrNo(
                                                "Whether a piece's length lies across the slab, true or false"),
                                "offcutFraction", ApiAnswer.number("What is not pieces, over the whole")),
                        CavityCalculators::cut),
                Calculator.ofNumbers(
                        "/slab/cutters",
                        "Round pieces of a sheet, in rows and staggered",
                        List.of(SLAB_LENGTH, SLAB_WIDTH, DIAMETER, GAP),
                        List.of(),
                        Map.of(
                                "squarePieces", ApiAnswer.number("In rows and columns"),
                                "hexagonalPieces", ApiAnswer.number("Staggered, the better way round")),
                        CavityCalculators::cutters));
    }

    private static Calculator cavity(
            String shape, String words, List<ApiField> dimensions, Function<ApiInput, Cavity> of) {
        List<ApiField> fields = new ArrayList<>(dimensions);
        fields.addAll(FILLED);
        return Calculator.ofNumbers(
                "/cavity/" + shape,
                "Grams of shell, filling and back of " + words,
                List.copyOf(fields),
                List.of(),
                FILLED_ANSWERS,
                input -> filled(of.apply(input), input));
    }

    private static Map<String, Object> filled(Cavity cavity, ApiInput input) {
        FilledCavity filled = FilledCavity.of(
                cavity, input.get(SHELL), input.get(BACK), input.get(BACK_LEAST), input.get(BACK_GREATEST));
        double shellDensity = input.get(SHELL_DENSITY);
        double fillingDensity = input.get(FILLING_DENSITY);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("cavityMl", cavity.volumeMl());
        answer.put("shellMl", filled.lined().shellMl());
        answer.put("fillingMl", filled.fillingMl());
        answer.put("backMl", filled.backMl());
        answer.put("shellGrams", filled.lined().shellMl() * shellDensity);
        answer.put("fillingGrams", filled.fillingMl() * fillingDensity);
        answer.put("backGrams", filled.backMl() * shellDensity);
        answer.put("fillingLeastGrams", filled.fillingLeastMl() * fillingDensity);
        answer.put("fillingGreatestGrams", filled.fillingGreatestMl() * fillingDensity);
        return answer;
    }

    private static Map<String, Object> cut(ApiInput input) {
        SlabCut cut = SlabCut.of(
                input.get(SLAB_LENGTH),
                input.get(SLAB_WIDTH),
                input.get(PIECE_LENGTH),
                input.get(PIECE_WIDTH),
                input.get(KERF),
                input.get(TRIM));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("across", cut.across());
        answer.put("along", cut.along());
        answer.put("pieces", cut.pieces());
        answer.put("turned", cut.turned());
        answer.put("offcutFraction", cut.offcutFraction());
        return answer;
    }

    private static Map<String, Object> cutters(ApiInput input) {
        Cutters cutters =
                Cutters.of(input.get(SLAB_LENGTH), input.get(SLAB_WIDTH), input.get(DIAMETER), input.get(GAP));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("squarePieces", cutters.squarePieces());
        answer.put("hexagonalPieces", cutters.hexagonalPieces());
        return answer;
    }
}

package org.zeststack.core.bar;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.CsvTable;

/** The usual steps of a build, to start from. */
public final class BuildMethods {

    private static final Map<Build, List<MethodStep>> BY_BUILD = load();

    private BuildMethods() {}

    /** The usual steps; never empty. */
    public static List<MethodStep> of(Build build) {
        return BY_BUILD.get(build);
    }

    private static Map<Build, List<MethodStep>> load() {
        Map<Build, List<MethodStep>> methods = new EnumMap<>(Build.class);
        for (CsvTable.Row row : CsvTable.load(BuildMethods.class, "methods.csv").rows()) {
            methods.computeIfAbsent(Build.valueOf(row.text("build")), b -> new ArrayList<>())
                    .add(MethodStep.in(row));
        }
        methods.replaceAll((build, steps) -> List.copyOf(steps));
        return methods;
    }
}

package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.CsvTable;

/** Methods to start from, so that nobody begins with an empty page. */
public final class DefaultMethods {

    private static final Map<Family, List<MethodStep>> BY_FAMILY = load();

    private DefaultMethods() {}

    /** The usual steps of a family; never empty. */
    public static List<MethodStep> of(Family family) {
        return BY_FAMILY.get(family);
    }

    private static Map<Family, List<MethodStep>> load() {
        Map<Family, List<MethodStep>> methods = new EnumMap<>(Family.class);
        for (CsvTable.Row row :
                CsvTable.load(DefaultMethods.class, "methods.csv").rows()) {
            methods.computeIfAbsent(Family.valueOf(row.text("family")), f -> new ArrayList<>())
                    .add(MethodStep.in(row));
        }
        methods.replaceAll((family, steps) -> List.copyOf(steps));
        return methods;
    }
}

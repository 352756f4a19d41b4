package org.zeststack.core.bar;

import java.util.List;
import org.zeststack.core.cavity.TaperedCavity;

/**
 * What a bar's design points to, looked up.
 *
 * @param cavity the mould's cavity
 * @param shell couverture of the shell
 * @param back couverture of the back
 * @param fillings fillings from the floor up
 */
public record BarParts(TaperedCavity cavity, Part shell, Part back, List<Part> fillings) {

    /**
     * One material of the stack.
     *
     * @param name as shown
     * @param material which colour and hatch draws it
     * @param densityGramsPerMl of the set or finished mass
     */
    public record Part(String name, String material, double densityGramsPerMl) {}

    public BarParts {
        fillings = List.copyOf(fillings);
    }
}

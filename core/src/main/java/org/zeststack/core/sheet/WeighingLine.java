package org.zeststack.core.sheet;

import java.util.List;

/** One line of the weighing list: an ingredient over all components. */
public record WeighingLine(String ingredient, String name, double grams, List<String> usedIn) {}

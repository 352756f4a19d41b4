package org.zeststack.core.temper;

import java.util.function.Function;

/**
 * How couverture is brought into temper. What a method is stands here and in its plan, {@link TemperPlan#of}; whoever asks by the method
 * asks in a switch that leaves none out.
 */
public enum Method {
    SEED("seed", Course.SEEDED, Method::seedIn),
    SLAB("slab", Course.REWARMED, Method::moveAll),
    BATH("cold bath", Course.REWARMED, Method::moveAll),
    /** Once it is melted out it lacks crystals like any other, and is seeded. */
    PARTIAL("partial melt", Course.MELTED_IN, Method::seedIn),
    PREPARED_SEED("prepared seed", Course.SEEDED, window -> "Stir down to %s, then the crystallised butter in."
            .formatted(TemperPlan.PREPARED_CELSIUS.inWords()));

    /** Which way a bowl goes into its working window. */
    enum Course {
        /** Melted out, then down into it: crystals are brought. */
        SEEDED,
        /** Melted out, cooled below it until crystals form, and warmed again. */
        REWARMED,
        /** Warmed up into it, and no further: crystals of before stay. */
        MELTED_IN
    }

    private final String words;
    private final Course course;
    private final Function<TemperWindow, String> cooling;

    Method(String words, Course course, Function<TemperWindow, String> cooling) {
        this.words = words;
        this.course = course;
        this.cooling = cooling;
    }

    private static String seedIn(TemperWindow window) {
        return "Stir seed in, a handful at a time, down to %s."
                .formatted(window.work().inWords());
    }

    private static String moveAll(TemperWindow window) {
        return "Cool to %s, moving all of it.".formatted(window.coolTo().inWords());
    }

    public String words() {
        return words;
    }

    /** Whether it is cooled below its working window and warmed up again. */
    public boolean rewarms() {
        return course == Course.REWARMED;
    }

    /** Whether every crystal of before is melted first. */
    public boolean meltsOut() {
        return course != Course.MELTED_IN;
    }

    /** What to do while a melted bowl comes down. */
    String cooling(TemperWindow window) {
        return cooling.apply(window);
    }
}

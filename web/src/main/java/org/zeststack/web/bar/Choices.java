package org.zeststack.web.bar;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.zeststack.app.bar.BodyFields;
import org.zeststack.app.bar.LayerField;
import org.zeststack.app.bar.LayerFields;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;

/** What a bar's fields may be chosen from; the same for every bar. */
public record Choices(
        List<Build> builds,
        Map<String, String> bodiesOf,
        List<BodyFields.Kind> bodyKinds,
        List<Body.Form> forms,
        List<Body.Tool> tools,
        Map<String, LayerKind> kinds,
        List<BarLayer.Shape> shapes,
        List<Handling.Cover> covers,
        Map<LayerKind, List<Technique>> techniques,
        List<Bar.Finish> finishes,
        List<Bar.Storage> storages,
        List<Bar.SoldAs> names,
        Map<String, List<LayerField>> small) {

    static final Choices ALL = new Choices(
            List.of(Build.values()),
            Arrays.stream(Build.values())
                    .collect(Collectors.toMap(Build::name, build -> String.join(" ", BodyFields.Kind.of(build)))),
            List.of(BodyFields.Kind.values()),
            List.of(Body.Form.values()),
            List.of(Body.Tool.values()),
            Arrays.stream(LayerKind.values()).collect(Collectors.toMap(LayerKind::name, Function.identity())),
            List.of(BarLayer.Shape.values()),
            List.of(Handling.Cover.values()),
            Arrays.stream(LayerKind.values()).collect(Collectors.toMap(Function.identity(), Technique::of)),
            List.of(Bar.Finish.values()),
            List.of(Bar.Storage.values()),
            List.of(Bar.SoldAs.values()),
            LayerFields.SMALL);
}

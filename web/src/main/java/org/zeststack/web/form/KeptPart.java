package org.zeststack.web.form;

import java.io.StringWriter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.util.ConcurrentLruCache;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.TemplateSpec;
import org.thymeleaf.context.Context;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.element.AbstractElementTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.templatemode.TemplateMode;
import org.zeststack.core.typed.FormInput;

/**
 * A part of a form that is drawn once for what stands in it, and kept: {@code <zest:kept of="template :: fragment" given="n actUrl"/>}.
 * The fragment sees the fields that begin with one of the words of {@code fields}, or else with {@code f}, in a {@code form} of its own,
 * and the variables that are given, which are plain values; nothing else, so that what is kept can depend on nothing else.
 */
final class KeptPart extends AbstractElementTagProcessor {

    private static final int KEPT = 800;

    /** Characters in the fields of a part; longer ones are drawn each time, so that what is kept stays below some 60 MB whoever writes. */
    static final int LONGEST = 4_000;

    private final ConcurrentLruCache<Of, String> kept = new ConcurrentLruCache<>(KEPT, Of::drawn);

    KeptPart(String prefix, int precedence) {
        super(TemplateMode.HTML, prefix, "kept", true, null, false, precedence);
    }

    @Override
    protected void doProcess(
            ITemplateContext context, IProcessableElementTag tag, IElementTagStructureHandler handler) {
        String fields = tag.getAttributeValue("fields");
        List<String> prefixes =
                fields == null ? List.of((String) context.getVariable("f")) : List.of(fields.split(" "));
        FormInput part = ((FormInput) context.getVariable("form")).part(prefixes);
        Map<String, Object> given = new HashMap<>();
        for (String name : tag.getAttributeValue("given").split(" ")) {
            given.put(name, context.getVariable(name));
        }
        if (fields == null) {
            given.put("f", prefixes.get(0));
        }
        Of of = new Of(tag.getAttributeValue("of"), given, part.standing(), part, context.getConfiguration());
        handler.replaceWith(part.length() > LONGEST ? of.drawn() : kept.get(of), false);
    }

    /** What a part is drawn from; two are the same where the same is drawn. */
    private record Of(
            String fragment,
            Map<String, Object> given,
            FormInput.Standing standing,
            FormInput form,
            IEngineConfiguration configuration) {

        @Override
        public boolean equals(Object other) {
            return other instanceof Of of
                    && fragment.equals(of.fragment)
                    && given.equals(of.given)
                    && standing.equals(of.standing);
        }

        @Override
        public int hashCode() {
            return 31 * (31 * fragment.hashCode() + given.hashCode()) + standing.hashCode();
        }

        String drawn() {
            String[] template = fragment.split(" :: ");
            Context alone = new Context(null, given);
            alone.setVariable("form", form);
            StringWriter html = new StringWriter();
            configuration
                    .getTemplateManager()
                    .parseAndProcess(
                            new TemplateSpec(template[0], Set.of(template[1]), TemplateMode.HTML, null), alone, html);
            return html.toString();
        }
    }
}

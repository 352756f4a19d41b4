package org.zeststack.web.form;

import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.AbstractElementTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.templatemode.TemplateMode;
import org.zeststack.app.design.SmallField;
import org.zeststack.core.typed.FormInput;

/**
 * Fields of long forms: a page of a bar has hundreds, and each is worth one step of the template's engine, not a dozen. Names are put
 * behind the prefix {@code f} where a row has one.
 *
 * <ul>
 *   <li>{@code zest:field="amount"} on an input, text area, check box or select gives it its name and what stands in it; a select
 *       takes {@code zest:options="${...}"}, names with their words, {@code zest:none} for the words of none, and
 *       {@code zest:keeps=""} where what was chosen before stays chosen though it is not offered.
 *   <li>{@code <zest:told name="amount"/>} is the place where a fault of the field is told; {@code of="${...}"} names it whole.
 *   <li>{@code <zest:minis of="${...}"/>} are small labelled fields with that place ({@link SmallField}).
 *   <li>{@code <zest:kept of="..." given="..."/>} is a part that is drawn once for what stands in it ({@link KeptPart}).
 * </ul>
 */
@Component
class FieldDialect extends AbstractProcessorDialect {

    private static final String PREFIX = "zest";
    private static final int PRECEDENCE = 900;

    FieldDialect() {
        super("Fields of long forms", PREFIX, PRECEDENCE);
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new Field(prefix), new Told(prefix), new Minis(prefix), new KeptPart(prefix, PRECEDENCE));
    }

    private static FormInput form(ITemplateContext context) {
        return (FormInput) context.getVariable("form");
    }

    private static String whole(ITemplateContext context, String name) {
        return context.getVariable("f") instanceof String prefix ? prefix + name : name;
    }

    private static Object evaluated(ITemplateContext context, String expression) {
        return StandardExpressions.getExpressionParser(context.getConfiguration())
                .parseExpression(context, expression)
                .execute(context);
    }

    /** The place where a field's fault is told, and what somebody else saved in it. */
    private static Markup told(Markup markup, FormInput form, String name) {
        markup.element("span", form.fault(name), "class", "fault", "role", "alert", "id", "fault-" + name);
        String theirs = form.theirs(name);
        return theirs == null
                ? markup
                : markup.begin("span", "class", "theirs")
                        .element("b", form.clashedWith())
                        .text(" saved: ")
                        .element("span", theirs)
                        .end();
    }

    private static final class Told extends AbstractElementTagProcessor {
        private Told(String prefix) {
            super(TemplateMode.HTML, prefix, "told", true, null, false, PRECEDENCE);
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag tag, IElementTagStructureHandler handler) {
            String of = tag.getAttributeValue("of");
            String name =
                    of == null ? whole(context, tag.getAttributeValue("name")) : String.valueOf(evaluated(context, of));
            handler.replaceWith(told(new Markup(), form(context), name).toString(), false);
        }
    }

    private static final class Minis extends AbstractElementTagProcessor {
        private Minis(String prefix) {
            super(TemplateMode.HTML, prefix, "minis", true, null, false, PRECEDENCE);
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag tag, IElementTagStructureHandler handler) {
            FormInput form = form(context);
            Markup markup = new Markup();
            for (Object one : (Iterable<?>) evaluated(context, tag.getAttributeValue("of"))) {
                SmallField field = (SmallField) one;
                String name = whole(context, field.name());
                if (field.typed()) {
                    typed(markup, form, field, name);
                } else {
                    checked(markup, form, field, name);
                }
            }
            handler.replaceWith(markup.toString(), false);
        }

        private static void typed(Markup markup, FormInput form, SmallField field, String name) {
            markup.begin("label", "data-mini", field.name())
                    .element("span", field.label())
                    .text(" ")
                    .begin("span", "class", "typed")
                    .empty(
                            "input",
                            "class",
                            "number short",
                            "inputmode",
                            "decimal",
                            "autocomplete",
                            "off",
                            "name",
                            name,
                            "value",
                            form.text(name))
                    .element("span", field.unit(), "class", "unit")
                    .end();
            told(markup, form, name).end();
        }

        private static void checked(Markup markup, FormInput form, SmallField field, String name) {
            markup.begin("label", "class", "check")
                    .empty(
                            "input",
                            "type",
                            "checkbox",
                            "value",
                            "yes",
                            "name",
                            name,
                            "checked",
                            form.text(name).equals("yes") ? "checked" : null)
                    .text(" " + field.label());
            told(markup, form, name).end();
        }
    }

    private static final class Field extends AbstractAttributeTagProcessor {
        private static final Map<Class<?>, MethodHandle> WORDS = new ConcurrentHashMap<>();

        private Field(String prefix) {
            super(TemplateMode.HTML, prefix, null, false, "field", true, PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName attribute,
                String own,
                IElementTagStructureHandler handler) {
            String name = whole(context, own);
            String text = form(context).text(name);
            handler.setAttribute("name", Markup.escaped(name));
            switch (tag.getElementCompleteName()) {
                case "select" -> {
                    handler.setBody(options(context, tag, text), false);
                    handler.removeAttribute(PREFIX, "options");
                    handler.removeAttribute(PREFIX, "none");
                    handler.removeAttribute(PREFIX, "keeps");
                }
                case "textarea" -> handler.setBody(Markup.escaped(text), false);
                default -> {
                    if ("checkbox".equals(tag.getAttributeValue("type"))) {
                        if (text.equals(tag.getAttributeValue("value"))) {
                            handler.setAttribute("checked", "checked");
                        }
                    } else {
                        handler.setAttribute("value", Markup.escaped(text));
                    }
                }
            }
        }

        private static String options(ITemplateContext context, IProcessableElementTag tag, String chosen) {
            Markup options = new Markup();
            String none = tag.getAttributeValue(PREFIX, "none");
            if (none != null) {
                options.element("option", none, "value", "");
            }
            List<String[]> offered = pairs(evaluated(context, tag.getAttributeValue(PREFIX, "options")));
            if (tag.hasAttribute(PREFIX, "keeps")
                    && !chosen.isEmpty()
                    && offered.stream().noneMatch(one -> one[0].equals(chosen))) {
                // Not offered just now, as where nothing can be computed: it stays what was chosen.
                offered.add(
                        new String[] {chosen, chosen.toLowerCase(Locale.ROOT).replace('_', ' ')});
            }
            for (String[] one : offered) {
                options.element(
                        "option", one[1], "value", one[0], "selected", one[0].equals(chosen) ? "selected" : null);
            }
            return options.toString();
        }

        /** Names and words. */
        private static List<String[]> pairs(Object all) {
            List<String[]> pairs = new ArrayList<>();
            if (all instanceof Map<?, ?> map) {
                map.forEach((name, words) -> pairs.add(new String[] {String.valueOf(name), String.valueOf(words)}));
            } else if (all instanceof Iterable<?> some) {
                some.forEach(one -> pairs.add(new String[] {((Enum<?>) one).name(), words(one)}));
            } else if (all instanceof Object[] some) {
                pairs.addAll(pairs(List.of(some)));
            }
            return pairs;
        }

        private static String words(Object one) {
            try {
                return (String) WORDS.computeIfAbsent(((Enum<?>) one).getDeclaringClass(), Field::handle)
                        .invoke(one);
            } catch (Throwable e) {
                throw new IllegalStateException(one + " has no words", e);
            }
        }

        private static MethodHandle handle(Class<?> type) {
            try {
                return MethodHandles.publicLookup().findVirtual(type, "words", MethodType.methodType(String.class));
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(type + " has no words", e);
            }
        }
    }
}

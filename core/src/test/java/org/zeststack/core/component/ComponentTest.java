package org.zeststack.core.component;

import static org.testng.Assert.assertEquals;

import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.component.Component.Bowl;
import org.zeststack.core.component.Component.Laid;
import org.zeststack.core.component.Component.Made;
import org.zeststack.core.component.Component.Stirred;

/** Keys as they lie in the databases of every release. */
public class ComponentTest {

    @DataProvider
    public Object[][] keys() {
        return new Object[][] {
            {"formula-3-v1", new Made(3, 1)},
            {"formula-3-v12/2", new Made(3, 12).batch(2)},
            {"formula-3-v1~second", new Made(3, 1).secondPot()},
            {"formula-3-v1/2~second", new Made(3, 1).batch(2).secondPot()},
            {"couverture-couverture-dark-66", new Bowl("couverture-dark-66", Optional.empty())},
            {"couverture-compound", new Bowl("compound", Optional.empty())},
            {
                "couverture-couverture-white-34~colour-red-2.5",
                new Bowl("couverture-white-34", Optional.of(new Stirred("colour-red", 2.5)))
            },
            {
                "couverture-cocoa-butter~milk-powder-30",
                new Bowl("cocoa-butter", Optional.of(new Stirred("milk-powder", 30)))
            },
            {"laid-puffed-rice", new Laid("puffed-rice")},
            {"laid-formula-3-v1", new Laid("formula-3-v1")},
        };
    }

    @Test(dataProvider = "keys")
    public void aKeyIsReadAsItIsWritten(String key, Component component) {
        assertEquals(component.key(), key);
        assertEquals(Component.of(key), Optional.of(component));
    }

    @DataProvider
    public Object[][] others() {
        return new Object[][] {
            {""},
            {"formula-3"},
            {"formula--v1"},
            {"formula-3-v1/"},
            {"formula-3-v1/2/2"},
            {"formula-3-v1~third"},
            {"formula-9999999999999999-v1"},
            {"couverture-"},
            {"couverture-a~b"},
            {"laid-"},
            {"filling-1"},
            {"FORMULA-3-v1"},
        };
    }

    @Test(dataProvider = "others")
    public void whatIsNoKeyNamesNothing(String text) {
        assertEquals(Component.of(text), Optional.empty());
    }

    @Test
    public void everyShareStirredInIsReadBack() {
        Random random = new Random(25);
        for (int i = 0; i < 500; i++) {
            double percent = Math.round(random.nextDouble() * 1e7) / 1e5;
            Bowl bowl = new Bowl("white-" + i, Optional.of(new Stirred("colour-" + i, percent)));
            assertEquals(Component.bowl(bowl.key()).orElseThrow(), bowl);
        }
    }

    @Test
    public void aSecondPotIsKnownByTheEndOfItsKey() {
        for (Made made : new Made[] {new Made(3, 1), new Made(3, 20).batch(2), new Made(3, 1).secondPot()}) {
            assertEquals(made.key().endsWith(Made.keysOfSecondPots()), made.second());
            assertEquals(made.whole(), new Made(3, made.version()));
        }
    }

    @Test
    public void eachKindIsAskedForByItself() {
        assertEquals(Component.made("laid-sugar"), Optional.empty());
        assertEquals(Component.bowl("formula-3-v1"), Optional.empty());
        assertEquals(Component.laid("couverture-compound"), Optional.empty());
        assertEquals(Component.laid("laid-sugar"), Optional.of(new Laid("sugar")));
        assertEquals(Component.made("formula-3-v2").map(Made::version), Optional.of(2));
    }
}

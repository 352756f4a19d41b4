package org.zeststack.core.heat;

import static org.testng.Assert.assertThrows;
import static org.zeststack.core.Near.near;

import com.hummeling.if97.IF97;
import java.util.Map;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Refusal;

public class ChoiOkosTest {

    @Test
    public void densityOfACaramelLikeMixture() {
        Composition mixture = Composition.of(
                Map.of(Part.WATER, 8.5, Part.MILK_FAT, 18.0, Part.SUCROSE, 70.5, Part.PROTEIN, 2.0, Part.ASH, 1.0), 42);
        near(ChoiOkos.densityGramsPerMl(mixture, 20), 1.345, 0.003, "Choi and Okos 1986, constants from memory");
    }

    @Test
    public void waterHasItsHandbookValues() {
        Composition water = Composition.of(Map.of(Part.WATER, 1000.0), 42);
        near(ChoiOkos.densityGramsPerMl(water, 20), 0.998, 0.003, "handbook value, from memory");
        near(ChoiOkos.kilojoulesPerKelvin(water, 20), 4.18, 0.06, "handbook value, from memory");
        near(ChoiOkos.evaporationKilojoulesPerKg(100), 2256.5, 1, "steam table, from memory");
    }

    @DataProvider
    public Object[][] boils() {
        return IntStream.rangeClosed(8, 16)
                .mapToObj(i -> new Object[] {10.0 * i})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "boils")
    public void theHeatOfEvaporationAgreesWithASteamTableLibrary(double celsius) {
        IF97 table = new IF97(IF97.UnitSystem.DEFAULT);
        double kelvin = celsius + 273.15;
        double library =
                table.specificEnthalpySaturatedVapourT(kelvin) - table.specificEnthalpySaturatedLiquidT(kelvin);
        near(
                ChoiOkos.evaporationKilojoulesPerKg(celsius) / library,
                1,
                celsius <= 140 ? 0.003 : 0.01,
                "IAPWS-IF97 library com.hummeling:if97");
    }

    @Test
    public void nothingHasNoDensity() {
        assertThrows(Refusal.class, () -> ChoiOkos.densityGramsPerMl(Composition.NOTHING, 20));
    }
}

package zestymarten.web.demo;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.worksheet.SavedSheet;
import zestymarten.web.worksheet.Worksheet;
import zestymarten.web.worksheet.Worksheets;

/** What the workshop has kept of its desks: the depot's circuits, a feeder, a bundle, tails without papers. Figures are made up. */
@Component
class DemoSheets {
    private final Worksheets sheets;
    private final List<Worksheet> desks;

    DemoSheets(Worksheets sheets, List<Worksheet> desks) {
        this.sheets = sheets;
        this.desks = desks;
    }

    void load() {
        keep(
                SavedSheet.SavedTool.CIRCUIT,
                "name=Depot ring 2&s1=6&s2=4.5&s3=7&s4=5&s5=8&s6=6.5&s7=9&spurs=3:12&end_P=0.56&end_L=OL&end_N=0.34"
                        + "&p_1=0.529&p_2=0.507&p_3=0.475&p_4=0.446&p_5=0.484&p_6=0.514&n_1=0.34&n_2=0.34&device=B&rated=32"
                        + "&leg=20&ze=0.35");
        keep(
                SavedSheet.SavedTool.CIRCUIT,
                "name=Workshop radial 5&kind=radial&outlets=4&s1=9&s2=6&s3=6&s4=11&n_1=0.13&n_2=0.22&n_3=0.31&n_4=0.48"
                        + "&p_1=0.18&p_2=0.29&p_3=0.41&p_4=0.63&i_LINE_NEUTRAL=>200M&i_LINE_PROTECTIVE=>200M"
                        + "&i_NEUTRAL_PROTECTIVE=>200M&polarity=right&device=C&rated=16&ze=0.35&load=10");
        keep(
                SavedSheet.SavedTool.CONDUCTOR,
                "name=Feeder to the turntable&length=38&area=0.75&ohm=7.62&of=loop&celsius=12&metal=copper&class=2"
                        + "&volts=120&source=0.4&protection=C&rated=10&insulation=pvc");
        keep(
                SavedSheet.SavedTool.COMPARISON,
                "name=Brake grid tails&leads=2.1 5.31 tail 1\n2.9 7.18 tail 2\n3.6 8.77 tail 3\n4.4 13.40 tail 4\n"
                        + "5.2 12.39 tail 5\n6.0 14.22 tail 6&next=7");
        keep(
                SavedSheet.SavedTool.CORE_ID,
                "name=Hut to platform, unmarked&cores=17&method=GROUPS&f1=a&f4=b&f5=c&f6=c&f7=b&f8=d&f9=c&f10=d&f11=d&f12=a"
                        + "&f13=b&f14=d&f15=d&f16=b");
    }

    private void keep(SavedSheet.SavedTool desk, String form) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (String field : form.split("&")) {
            String[] both = field.split("=", 2);
            fields.put(both[0], both[1]);
        }
        Worksheet reckons =
                desks.stream().filter(each -> each.tool() == desk).findFirst().orElseThrow();
        sheets.keep(reckons.kept(new TypedForm(fields)), "", "bench");
    }
}

package lynchet.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import javax.xml.parsers.DocumentBuilderFactory;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.MapData;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;

class MapGraphTest {

    private static final GrapplingMap MAP = GrapplingMap.of(Json.read("""
            {"pairs": [
               {"id": "standing", "stage": "APART", "first": {"id": "standing", "name": "Standing <apart>", "control": 0}},
               {"id": "old", "stage": "APART", "first": {"id": "old", "name": "Old", "control": 0, "retired": true}}],
             "techniques": [{"id": "lock", "name": "A \\"lock\\"", "family": "SUBMISSION", "learn": 1, "master": 2}],
             "links": [{"id": "lock-it", "from": "standing", "technique": "lock", "to": "TAP"},
                       {"id": "go-old", "from": "standing", "technique": "lock", "to": "old"}]}
            """, MapData.class));

    @Test
    void graphMlHoldsWhatIsNotRetiredWithStageAndControl() throws Exception {
        byte[] xml = MapGraph.graphMl(MAP).getBytes(StandardCharsets.UTF_8);
        Document document =
                DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(xml));
        assertThat(document.getElementsByTagName("node").getLength()).isEqualTo(2);
        assertThat(document.getElementsByTagName("edge").getLength()).isEqualTo(1);
        assertThat(document.getElementsByTagName("node").item(0).getTextContent())
                .contains("Standing <apart>", "APART", "0.0");
        assertThat(document.getElementsByTagName("edge").item(0).getTextContent())
                .contains("A \"lock\"", "SUBMISSION");
    }

    @Test
    void dotQuotesWhatNeedsIt() {
        assertThat(MapGraph.dot(MAP))
                .contains("\"standing\" [ label=\"Standing <apart>\" ]")
                .contains("\"standing\" -> \"TAP\" [ label=\"A \\\"lock\\\"\" ]")
                .doesNotContain("old");
    }
}

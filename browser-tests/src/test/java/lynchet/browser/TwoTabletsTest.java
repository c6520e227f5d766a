package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** Two tablets on one class; the server is pulled out from under them, comes back, and is killed while they send. */
@Execution(ExecutionMode.CONCURRENT)
@Order(1)
class TwoTabletsTest {

    private static final int MARKS = 100;

    private PackagedServer.Own club;
    private String classId;
    private Coach head;
    private Coach assistant;

    @BeforeEach
    void open() throws Exception {
        LocalDate tuesday = LocalDate.now().with(TemporalAdjusters.next(DayOfWeek.TUESDAY));
        club = new PackagedServer.Own(Path.of("target/tablets.log"), true, tuesday.toString(), List.of());
        club.start();
        classId = "fundamentals-" + tuesday;
        head = tablet("head");
        assistant = tablet("coach");
    }

    @AfterEach
    void close() throws Exception {
        head.close();
        assistant.close();
        club.kill();
    }

    /** Signed in, at the class, which this browser now keeps, with the page that shows it. */
    private Coach tablet(String account) {
        Coach coach = new Coach(With.FINGER, 1024, 768, club.address);
        coach.signIn(account);
        coach.go("/mat/" + classId);
        coach.see("[data-student]");
        coach.keeps(classId);
        return coach;
    }

    private static String tile(String student, boolean here) {
        return "[data-student=" + student + "][aria-pressed=" + here + "]";
    }

    private static void mark(Coach coach, String student) {
        coach.see("label", "Mark").click();
        coach.use("[data-student=" + student + "]");
        coach.see("button", "Pass");
        coach.async("""
                const [times, done] = arguments;
                const pass = [...document.querySelectorAll('button')].find((b) => b.innerText.trim() === 'Pass');
                (async () => {
                  for (let i = 0; i < times; i++) {
                    pass.click();
                    await new Promise(requestAnimationFrame);
                  }
                  done();
                })();
                """, MARKS);
    }

    @SuppressWarnings("unchecked")
    private static List<String> students(Coach coach, String pressed, int most) {
        return (List<String>) coach.script("return [...document.querySelectorAll('[data-student][aria-pressed="
                + pressed + "]')].slice(0, " + most + ").map((tile) => tile.dataset.student)");
    }

    @Test
    void whatIsRecordedWithoutTheServerIsThereOnceWhenItIsBack() throws Exception {
        int before = students(head, "true", 99).size();
        List<String> eight = students(head, "false", 8);
        String takenOut = eight.get(0);
        club.kill();
        for (String student : eight) {
            for (Coach coach : List.of(head, assistant)) {
                coach.use(tile(student, false));
                coach.see(tile(student, true));
            }
        }
        assistant.use(tile(takenOut, true));
        assistant.see(tile(takenOut, false));
        assistant.see("button", "9 waiting to send");
        assistant.go("/mat/" + classId);
        assistant.see(tile(eight.get(7), true));
        assistant.see(tile(takenOut, false));
        mark(head, eight.get(1));
        mark(assistant, eight.get(2));
        head.see("button", 8 + MARKS + " waiting to send");
        assistant.see("button", 9 + MARKS + " waiting to send");
        head.nothingIsWrongButTheServer();

        club.start();
        head.signInAgain();
        head.seeNo("button", 8 + MARKS + " waiting to send");
        club.kill();
        club.start();
        head.signInAgain();
        assistant.signInAgain();
        head.seeNone("[data-waiting]");
        assistant.seeNone("[data-waiting]");

        for (Coach coach : List.of(head, assistant)) {
            coach.go("/mat/" + classId);
            eight.forEach(student -> coach.see(tile(student, true)));
            assertThat(students(coach, "true", 99)).hasSize(before + 8);
        }
        assertThat(kept(head, "marks", "m-")).hasSize(2 * MARKS).doesNotHaveDuplicates();
        assertThat(kept(head, "attendance", "a-")).hasSize(8).doesNotHaveDuplicates();
        assistant.see("div", "was checked in on another device too");
        assistant.nothingIsWrongButTheServer();
        assistant.use(assistant.see("*[@role='alert']//button", "is here"));
        assistant.seeNo("div", "was checked in on another device too");
        assertThat((Boolean) head.script("return document.body.innerText.includes('on another device')"))
                .isFalse();
    }

    /** Ids of what this test recorded, as the club's file has them. */
    private static List<?> kept(Coach coach, String part, String prefix) {
        return (List<?>) coach.async("""
                const [part, prefix, done] = arguments;
                fetch('/api/archive').then((answer) => answer.json()).then((club) =>
                  done(club[part].map((one) => one.id).filter((id) => new RegExp(`^${prefix}[0-9a-f-]{36}$`).test(id))));
                """, part, prefix);
    }
}

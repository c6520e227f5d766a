package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.logging.Level;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.print.PageSize;
import org.openqa.selenium.print.PrintOptions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Somebody at the real interface in a headless browser, with a keyboard or with a finger. */
final class Coach implements AutoCloseable {
    /** Only what hangs takes longer, on however busy a machine. */
    private static final Duration HANGS = Duration.ofMinutes(5);

    /** How this coach works a button. */
    enum With {
        KEYBOARD,
        FINGER
    }

    private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");

    /** What Enter would take of what a field offers. */
    private static final String LIT = "[role=option][data-combobox-selected]";

    private static final int MOST_OFFERED = 40;

    private final ChromeDriver driver;
    private final With with;
    private final String base;
    private final String keepsNothing;
    private boolean ends;
    private int presses;

    Coach(With with, int width, int height) {
        this(with, width, height, PackagedServer.address());
    }

    /** At another server than the demo club's. */
    Coach(With with, int width, int height, String base) {
        this(with, width, height, base, Browsers.take(), false);
    }

    /** With an environment of the browser's own, such as a HOME where it finds the authorities it trusts. */
    Coach(With with, int width, int height, String base, Map<String, String> environment) {
        this(with, width, height, base, Browsers.open(environment), true);
    }

    private Coach(With with, int width, int height, String base, ChromeDriver driver, boolean ends) {
        this.with = with;
        this.base = base;
        this.driver = driver;
        this.ends = ends;
        size(width, height);
        driver.manage().window().setSize(new Dimension(width, height));
        keepsNothing = (String) driver.executeCdpCommand(
                        "Page.addScriptToEvaluateOnNewDocument",
                        Map.of("source", "delete Navigator.prototype.serviceWorker"))
                .get("identifier");
        driver.executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", LISTENS));
    }

    /** Keeps what notices say, as long as the browser is open. */
    private static final String LISTENS = """
            new MutationObserver((all) => {
              for (const { addedNodes } of all)
                for (const node of addedNodes)
                  if (node.parentElement?.closest('[data-notices]'))
                    sessionStorage.setItem('said', (sessionStorage.getItem('said') ?? '') + node.textContent + '\\n');
            }).observe(document, { childList: true, subtree: true });
            """;

    /** Ids of the club are words joined by two hyphens or more, or by one and figures; what people say is not. */
    private static final Pattern ID =
            Pattern.compile("\\b(?:[a-z0-9]+(?:-[a-z0-9]+){2,}|[a-z]+-[0-9a-f]*[0-9][0-9a-f]*)\\b");

    private static final Set<String> ENGLISH = Set.of("two-on-one", "one-on-one");

    /** A notice is for people: it names things as they are called. */
    private void noticesSpeakOfNoId() {
        List<String> ids = ID.matcher(
                        String.valueOf(driver.executeScript("return sessionStorage.getItem('said') ?? ''")))
                .results()
                .map(MatchResult::group)
                .filter(word -> !ENGLISH.contains(word))
                .toList();
        assertThat(ids).as("ids in notices").isEmpty();
    }

    /** On a screen of this size nobody has to push the page or its body sideways; it keeps this size. */
    void fits(int width, int height) {
        size(width, height);
        until("nothing to stick out at " + width, () -> (boolean) driver.executeScript("""
                return innerWidth === arguments[0]
                  && [document.scrollingElement, ...document.querySelectorAll('#page > *')]
                    .every((box) => box.clientWidth === 0 || box.scrollWidth <= box.clientWidth);
                """, width));
    }

    void size(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
    }

    void go(String path) {
        driver.get(base + path);
    }

    /** Goes to another screen without leaving the page, as a link does. */
    void goWithin(String path) {
        driver.executeScript(
                "history.pushState({}, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate'))", path);
    }

    /** Opens a whole address, as somebody does who was sent it. */
    void goTo(String address) {
        driver.get(address);
    }

    /** Touches, and keys that are not letters of what is typed, so far. */
    int presses() {
        return presses;
    }

    /** Waits for the first element that shows. */
    WebElement see(String css) {
        return see(By.cssSelector(css));
    }

    /** Waits for an element of this kind with this text in it. */
    WebElement see(String tag, String text) {
        return see(By.xpath("//" + tag + "[contains(normalize-space(.), \"" + text + "\")]"));
    }

    WebElement see(By by) {
        return waiting("to see " + by).until(d -> d.findElements(by).stream()
                .filter(WebElement::isDisplayed)
                .findFirst()
                .orElse(null));
    }

    /** Waits until something holds. */
    void until(String what, BooleanSupplier holds) {
        waiting(what).until(d -> holds.getAsBoolean());
    }

    /** All of them that show now. */
    List<WebElement> all(String css) {
        see(css);
        return driver.findElements(By.cssSelector(css)).stream()
                .filter(WebElement::isDisplayed)
                .toList();
    }

    void seeNo(String tag, String text) {
        By by = By.xpath("//" + tag + "[contains(normalize-space(.), \"" + text + "\")]");
        waiting("to see no more " + text).until(d -> d.findElements(by).stream().noneMatch(WebElement::isDisplayed));
    }

    /** Waits until no such element shows. */
    void seeNone(String css) {
        waiting("to see no " + css)
                .until(d -> d.findElements(By.cssSelector(css)).stream().noneMatch(WebElement::isDisplayed));
    }

    void seeAt(String pathPart) {
        waiting("to be at " + pathPart).until(d -> d.getCurrentUrl().contains(pathPart));
    }

    private WebDriverWait waiting(String what) {
        WebDriverWait wait = new WebDriverWait(driver, HANGS);
        wait.ignoring(StaleElementReferenceException.class);
        wait.withMessage(() -> what + "; it is at " + driver.getCurrentUrl() + " and reads: " + text());
        return wait;
    }

    /** The beginning of what stands on the page, for somebody who reads why a test failed. */
    private String text() {
        return String.valueOf(driver.executeScript("return document.body.innerText.slice(0, 800)"));
    }

    /** Works a button or link: Enter from the keyboard, a tap with the finger. */
    void use(WebElement element) {
        presses++;
        if (with == With.KEYBOARD) {
            element.sendKeys(Keys.ENTER);
        } else {
            clear(element);
            element.click();
        }
    }

    void use(String css) {
        use(see(css));
    }

    void use(String tag, String text) {
        use(see(tag, text));
    }

    /** Goes to a section of the rail: a dot and a digit, or a tap. */
    void section(String name, String digit) {
        presses += with == With.KEYBOARD ? 2 : 1;
        if (with == With.KEYBOARD) {
            driver.findElement(By.tagName("body")).sendKeys(".", digit);
        } else {
            see(By.linkText(name)).click();
        }
    }

    /** Notices stand over the foot of the page for a moment; nobody touches through them. */
    private void clear(WebElement element) {
        driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", element);
        waiting("to stand under no notice").until(d -> driver.executeScript("""
                const box = arguments[0].getBoundingClientRect();
                const there = document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2);
                return !there || !there.closest('[data-notices]') || arguments[0].closest('[data-notices]') !== null;
                """, element));
    }

    /** Touches something with the finger, whatever is used for the rest. */
    void touch(WebElement element) {
        presses++;
        clear(element);
        element.click();
    }

    /** Takes hold of something and lets it go over something else. */
    void drag(WebElement what, WebElement to) {
        presses++;
        new Actions(driver).dragAndDrop(what, to).perform();
    }

    void type(WebElement field, CharSequence... keys) {
        presses += 1 + (int) Stream.of(keys).filter(key -> key instanceof Keys).count();
        field.sendKeys(keys);
    }

    /** Types where the focus is. */
    void type(CharSequence... keys) {
        driver.switchTo().activeElement().sendKeys(keys);
    }

    /** Chooses a file where the screen asks for one. */
    void file(java.nio.file.Path file) {
        driver.findElement(By.cssSelector("input[type=file]"))
                .sendKeys(file.toAbsolutePath().toString());
    }

    void signIn(String account) {
        signIn(account, "saltmarsh");
    }

    void signIn(String account, String password) {
        go("/");
        type(see("input[autocomplete=username]"), account);
        type(see("input[autocomplete=current-password]"), password, Keys.ENTER);
        see("nav[aria-label=Sections]");
    }

    /** Is signed in without having filled in the form, and opens a screen: half the work where the form is not what is looked at. */
    void comeIn(String account, String path) {
        go("/api/session/welcome"); // hands out what a request must bring
        post("/api/session", "{ \"name\": \"" + account + "\", \"password\": \"saltmarsh\" }");
        go(path);
        see("nav[aria-label=Sections]");
    }

    /** Signs in over the page, when the session has gone with the server. */
    void signInAgain() {
        type(see(".mantine-Modal-content input[autocomplete=current-password]"), "saltmarsh", Keys.ENTER);
        seeNone(".mantine-Modal-content");
    }

    /**
     * From now on this browser keeps the page, as every one does outside tests; to fetch a hundred files for it is more work than
     * most tests. Waits until it has them and a class, and so needs the server no more to show them.
     */
    void keeps(String classId) {
        ends = true;
        driver.executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", keepsNothing));
        driver.navigate().refresh();
        async("""
                const [classId, done] = arguments;
                const isKept = () => new Promise((yes) => {
                  const opening = indexedDB.open('lynchet');
                  opening.onsuccess = () => {
                    const get = opening.result.transaction('known').objectStore('known').get('queries');
                    get.onsuccess = () => {
                      const known = JSON.stringify(get.result ?? {});
                      yes(['classes', 'pairs', 'calls'].every((of) => known.includes(`"${of}","${classId}"`)));
                    };
                  };
                });
                navigator.serviceWorker.ready.then(async () => {
                  while (!(await isKept())) await new Promise(requestAnimationFrame);
                  done();
                });
                """, classId);
    }

    /** Begins a new club as head coach "anna" with the password "long enough". */
    void begin(String code, String choice) {
        go("/");
        type(field("Code"), code);
        type(field("Name of the club"), "Test Club");
        new Select(see("select")).selectByValue(choice);
        type(see("input[autocomplete=username]"), "anna");
        type(see("input[autocomplete=new-password]"), "long enough", Keys.ENTER);
        see("nav[aria-label=Sections]");
    }

    /** The field with this label. */
    WebElement field(String label) {
        return see(By.xpath("//label[starts-with(normalize-space(.), \"" + label
                + "\")]/following::*[self::input or self::textarea][1]"));
    }

    /** Types into a field that offers something and takes what is wanted. */
    void choose(String label, String text, String wanted) {
        choose(field(label), text, wanted);
    }

    void choose(WebElement field, String text, String wanted) {
        presses += 3;
        field.sendKeys(text);
        see("div[@role='option']", wanted);
        walkTo(field, wanted);
        field.sendKeys(Keys.ENTER);
    }

    /** By arrow keys to an option, round and round: the one of this name, else one that has it in its name. */
    private void walkTo(WebElement field, String wanted) {
        By exactly = By.xpath("//div[@role='option'][normalize-space(.)=\"" + wanted + "\"]");
        boolean isExact = !driver.findElements(exactly).isEmpty();
        for (int n = 0; n < MOST_OFFERED; n++) {
            field.sendKeys(Keys.ARROW_DOWN);
            if (isExact ? lit().equals(wanted) : lit().contains(wanted)) {
                return;
            }
        }
    }

    /** What was said is out of the way. */
    void closeNotices() {
        script(
                "document.querySelectorAll('[data-notices] [aria-label=\"Close this notice\"]').forEach((one) => one.click())");
    }

    /** A change of a rank is kept; where somebody who wears it would notice, that is said first. */
    void keepsTheChange(String done) {
        By said = By.xpath("//*[@data-notices]//div[contains(normalize-space(.), \"" + done + "\")]");
        By keep = By.xpath("//button[.='Keep the change']");
        until(
                "kept, or asked whom it touches",
                () -> !driver.findElements(keep).isEmpty()
                        || !driver.findElements(said).isEmpty());
        if (driver.findElements(said).isEmpty()) {
            use(see(keep));
        }
        see("div", done);
    }

    /** Takes one of the few things that a field offers, by keys or with the finger. */
    void pick(WebElement field, String wanted) {
        By option = By.xpath("//div[@role='option'][normalize-space(.)=\"" + wanted + "\"]");
        if (with == With.FINGER) {
            touch(field);
            touch(see(option));
            return;
        }
        type(field, Keys.ENTER);
        see(option);
        walkTo(field, wanted);
        type(Keys.ENTER);
    }

    private String lit() {
        List<WebElement> lit = all(LIT);
        return lit.isEmpty() ? "" : lit.get(0).getText().strip();
    }

    /** Presses an element wherever it stands on a page that scrolls, or under something that floats over it. */
    void press(String css) {
        driver.executeScript("arguments[0].click()", see(css));
    }

    /** Sends text to the server as the signed-in person would; the answer's text. */
    String post(String path, String body) {
        return (String) async("""
                fetch(arguments[0], { method: 'POST', body: arguments[1], headers: { 'Content-Type': 'application/json',
                  'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]*)/)[1] } })
                  .then((answer) => answer.text()).then(arguments[2]);
                """, path, body);
    }

    /** The same with PUT. */
    String put(String path, String body) {
        return (String) async("""
                fetch(arguments[0], { method: 'PUT', body: arguments[1], headers: { 'Content-Type': 'application/json',
                  'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]*)/)[1] } })
                  .then((answer) => answer.text()).then(arguments[2]);
                """, path, body);
    }

    /** What the server answers the signed-in person. */
    String get(String path) {
        return (String) async("fetch(arguments[0]).then((answer) => answer.text()).then(arguments[1]);", path);
    }

    /** Where the browser is. */
    String address() {
        return driver.getCurrentUrl();
    }

    /** How many of them show now, none among it. */
    int count(String css) {
        return (int) driver.findElements(By.cssSelector(css)).stream()
                .filter(WebElement::isDisplayed)
                .count();
    }

    /** Waits until nothing is loading any more; fails where something did not load. */
    void loads() {
        until("everything to be loaded", () -> (boolean) driver.executeScript("""
                const page = document.querySelector('#page');
                return page !== null && page.innerText.trim() !== ''
                  && document.querySelector('[role=status][aria-label=Loading]') === null;
                """));
        assertThat((String) driver.executeScript("return document.querySelector('#page').innerText"))
                .as("at " + driver.getCurrentUrl())
                .doesNotContain("did not load");
    }

    /** Runs a script that calls its last argument when it is done. */
    Object async(String script, Object... arguments) {
        return driver.executeAsyncScript(script, arguments);
    }

    /** How many pages this screen takes on paper. */
    int printedPages() {
        PrintOptions options = new PrintOptions();
        options.setPageSize(new PageSize(29.7, 21.0));
        String pdf =
                new String(Base64.getDecoder().decode(driver.print(options).getContent()), StandardCharsets.ISO_8859_1);
        Matcher page = Pattern.compile("/Type\\s*/Page[^s]").matcher(pdf);
        return (int) page.results().count();
    }

    Object script(String script) {
        return driver.executeScript(script);
    }

    /** Everything axe-core finds wrong on this screen, one line each. */
    List<?> axe() {
        return axe("{ resultTypes: ['violations'] }");
    }

    private List<?> axe(String asked) {
        try {
            if (!(boolean) driver.executeScript("return Boolean(window.axe)")) {
                driver.executeScript(Files.readString(AXE));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return (List<?>) driver.executeAsyncScript("""
                const done = arguments[arguments.length - 1];
                axe.run(document, %s).then((r) => done(r.violations.map(
                  (v) => v.id + ': ' + v.help + ' — ' + v.nodes.slice(0, 3).map((n) => n.target.join(' ') + ' '
                    + (n.any[0]?.message ?? '')).join(' | '))));
                """.formatted(asked));
    }

    /** The same where the server was away, of which the console speaks. */
    void nothingIsWrongButTheServer() {
        assertThat(axe()).as("axe-core at " + driver.getCurrentUrl()).isEmpty();
    }

    /** The same page in the colours of the night, and back: every text stands out enough. */
    void canBeReadByNight() {
        String scheme = "document.documentElement.setAttribute('data-mantine-color-scheme', '%s')";
        script(scheme.formatted("dark"));
        assertThat(axe("{ resultTypes: ['violations'], runOnly: ['color-contrast'] }"))
                .as("by night at " + driver.getCurrentUrl())
                .isEmpty();
        script(scheme.formatted("light"));
    }

    /** What the browser complained of since this was last asked. */
    List<LogEntry> console() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .filter(entry -> entry.getLevel().intValue() >= Level.WARNING.intValue())
                .toList();
    }

    void nothingIsWrongHere() {
        nothingIsWrongButTheServer();
        noticesSpeakOfNoId();
        assertThat(console()).as("the console at " + driver.getCurrentUrl()).isEmpty();
        List<String> abroad = requests().stream()
                .filter(url -> url.startsWith("http") && !url.startsWith(base + "/"))
                .toList();
        assertThat(abroad).as("requests off the machine").isEmpty();
    }

    /** What was asked for since this was last asked, one address each. */
    List<String> requests() {
        return driver.manage().logs().get(LogType.PERFORMANCE).getAll().stream()
                .map(LogEntry::getMessage)
                .filter(message -> message.contains("\"Network.requestWillBeSent\""))
                .map(message -> message.replaceFirst("(?s).*\"request\":\\{.*?\"url\":\"([^\"]*)\".*", "$1"))
                .toList();
    }

    /** Goes to the server and back a few times, so that whatever the page wanted to ask has been asked. */
    void thereAndBack() {
        async("""
                const done = arguments[0];
                (async () => {
                  for (let i = 0; i < 10; i++) await fetch('/actuator/health');
                  done();
                })();
                """);
    }

    /** Keeps a picture of this screen in the documents, when asked for with {@code -Dwrite.documents=true}. */
    void picture(String name) {
        if (Boolean.getBoolean("write.documents")) {
            try {
                Files.write(Path.of("../docs/screenshots", name + ".png"), driver.getScreenshotAs(OutputType.BYTES));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    @Override
    public void close() {
        if (ends) {
            driver.quit();
        } else {
            Browsers.giveBack(driver, base);
        }
    }
}

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
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.print.PageSize;
import org.openqa.selenium.print.PrintOptions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** What stands in a headless browser: where it is, what shows, what it asked for and complained of. */
abstract class Page implements AutoCloseable {

    /** Only what hangs takes longer, on however busy a machine. */
    private static final Duration HANGS = Duration.ofMinutes(5);

    private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");

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

    protected final ChromeDriver driver;
    protected final String base;
    /** Whether the browser is ended with this, since it keeps what another test must not see. */
    protected boolean ends;

    private final String keepsNothing;

    protected Page(int width, int height, String base, ChromeDriver driver, boolean ends) {
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

    /** From now on this browser keeps the page and what it knows, as every one does outside tests. */
    protected void keepThePage() {
        ends = true;
        driver.executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", keepsNothing));
        driver.navigate().refresh();
    }

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

    protected WebDriverWait waiting(String what) {
        WebDriverWait wait = new WebDriverWait(driver, HANGS);
        wait.ignoring(StaleElementReferenceException.class);
        wait.withMessage(() -> what + "; it is at " + driver.getCurrentUrl() + " and reads: " + text());
        return wait;
    }

    /** The beginning of what stands on the page, for somebody who reads why a test failed. */
    private String text() {
        return String.valueOf(driver.executeScript("return document.body.innerText.slice(0, 800)"));
    }

    /** Chooses a file where the screen asks for one. */
    void file(java.nio.file.Path file) {
        driver.findElement(By.cssSelector("input[type=file]"))
                .sendKeys(file.toAbsolutePath().toString());
    }

    /** What was said is out of the way. */
    void closeNotices() {
        script(
                "document.querySelectorAll('[data-notices] [aria-label=\"Close this notice\"]').forEach((one) => one.click())");
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

    /** The network is gone for this browser, or back. */
    void cutOff(boolean isCut) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", isCut, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
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

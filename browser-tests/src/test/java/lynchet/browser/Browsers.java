package lynchet.browser;

import java.io.File;
import java.util.Deque;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;

/** Headless browsers: to open one is more work than most tests, so the person who is done gives theirs back for the next. */
final class Browsers {

    /** The same pages for two thirds of the whole browser's work. The script of this name on the path cannot be ended. */
    private static final String CHROMIUM = "/usr/lib/chromium/chromium-headless-shell";

    /** Held, so that its level stays set: it warns at every start that it has no bindings for a newer browser. */
    private static final Logger SELENIUM_CHATTER = Logger.getLogger("org.openqa.selenium");

    private static final Deque<ChromeDriver> WAITING = new ConcurrentLinkedDeque<>();

    static {
        SELENIUM_CHATTER.setLevel(Level.SEVERE);
        Runtime.getRuntime().addShutdownHook(new Thread(() -> WAITING.forEach(ChromeDriver::quit)));
    }

    private Browsers() {}

    /** One with an empty window, which knows nobody and keeps nothing of any server but unchanging files. */
    static ChromeDriver take() {
        ChromeDriver waiting = WAITING.poll();
        return waiting != null ? waiting : open(Map.of());
    }

    /** Takes it back: its window is closed and what the server at this origin left in it is forgotten. */
    static void giveBack(ChromeDriver browser, String origin) {
        try {
            browser.resetInputState();
            String last = browser.getWindowHandle();
            String next = browser.switchTo().newWindow(WindowType.TAB).getWindowHandle();
            browser.switchTo().window(last).close();
            browser.switchTo().window(next);
            browser.executeCdpCommand("Network.clearBrowserCookies", Map.of());
            browser.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", origin, "storageTypes", "all"));
            browser.manage().logs().get(LogType.BROWSER);
            browser.manage().logs().get(LogType.PERFORMANCE);
            WAITING.push(browser);
        } catch (WebDriverException e) {
            browser.quit(); // a test left it in a state that nobody else should meet
        }
    }

    /** Opens one with an environment of its own, which its owner ends. */
    static ChromeDriver open(Map<String, String> environment) {
        LoggingPreferences logs = new LoggingPreferences();
        logs.enable(LogType.BROWSER, Level.ALL);
        logs.enable(LogType.PERFORMANCE, Level.ALL);
        ChromeOptions options = new ChromeOptions();
        options.setBinary(CHROMIUM);
        options.addArguments(
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--hide-scrollbars",
                "--force-prefers-reduced-motion");
        options.setAcceptInsecureCerts(false);
        options.setCapability("goog:loggingPrefs", logs);
        return new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                        .withEnvironment(environment)
                        .build(),
                options);
    }
}

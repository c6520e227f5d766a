package lynchet.browser;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;

/** Somebody at the real interface in a headless browser, with a keyboard or with a finger. */
final class Coach extends Page {

    /** How this coach works a button. */
    enum With {
        KEYBOARD,
        FINGER
    }

    /** What Enter would take of what a field offers. */
    private static final String LIT = "[role=option][data-combobox-selected]";

    private static final int MOST_OFFERED = 40;

    private final With with;
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
        super(width, height, base, driver, ends);
        this.with = with;
    }

    /** Touches, and keys that are not letters of what is typed, so far. */
    int presses() {
        return presses;
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
        keepThePage();
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
}

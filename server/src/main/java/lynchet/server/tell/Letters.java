package lynchet.server.tell;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Date;
import java.util.HexFormat;
import java.util.List;
import java.util.Properties;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lynchet.core.term.Telling;
import lynchet.server.keep.OwnerOnly;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Sha256;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/**
 * Stands in for a post office: each letter becomes a file that every mail program opens, in the folder {@code outbox}
 * beside the data. Nothing is sent. A letter of the same news to the same address takes the place of the one before.
 */
@Service
public class Letters {

    static final int KEPT = 400;

    private static final Pattern NAME = Pattern.compile("[a-z0-9-]{1,100}\\.eml");
    private static final Session NO_SESSION = Session.getInstance(new Properties());

    private final Path folder;
    private final Clock clock;

    Letters(@Value("${lynchet.data}") Path data, Clock clock) {
        this.folder = data.resolve("outbox");
        this.clock = clock;
    }

    /** A letter that lies ready. */
    record LetterView(String name, Instant at, String to, String subject) {}

    /**
     * Writes them for the owner's eyes only.
     *
     * @return those that cannot be written, since there is no such address
     */
    synchronized List<Telling.Letter> write(String club, String about, List<Telling.Letter> letters) {
        List<Telling.Letter> unwritten = new ArrayList<>();
        try {
            Files.createDirectories(folder);
            OwnerOnly.close(folder);
            for (Telling.Letter letter : letters) {
                byte[] message;
                try {
                    message = message(club, letter);
                } catch (MessagingException e) {
                    unwritten.add(letter);
                    continue;
                }
                Path part = folder.resolve("writing.part");
                Files.write(part, message);
                OwnerOnly.close(part);
                Files.move(
                        part,
                        folder.resolve(name(about, letter)),
                        StandardCopyOption.ATOMIC_MOVE,
                        StandardCopyOption.REPLACE_EXISTING);
            }
            for (Path old : newestFirst().stream().skip(KEPT).toList()) {
                Files.delete(old);
            }
        } catch (IOException e) {
            throw new IllegalStateException("the letters could not be written to " + folder, e);
        }
        return unwritten;
    }

    /** Deletes the letters in which one of these words stands. */
    public synchronized void forget(List<String> words) {
        try {
            for (Path letter : newestFirst()) {
                String text = text(letter);
                if (words.stream().anyMatch(text::contains)) {
                    Files.delete(letter);
                }
            }
        } catch (IOException | MessagingException e) {
            throw new IllegalStateException("the letters could not be looked through in " + folder, e);
        }
    }

    /** Head and words of a letter as they are read, not as they are packed. */
    private static String text(Path letter) throws IOException, MessagingException {
        try (InputStream file = Files.newInputStream(letter)) {
            MimeMessage message = new MimeMessage(NO_SESSION, file);
            return message.getSubject() + " " + Arrays.toString(message.getAllRecipients()) + " "
                    + message.getContent();
        }
    }

    private static String name(String about, Telling.Letter letter) {
        String short16 = HexFormat.of()
                .formatHex(Sha256.of(about + " " + letter.subject() + " " + letter.to()))
                .substring(0, 16);
        return about + "-" + short16 + ".eml";
    }

    private byte[] message(String club, Telling.Letter letter) throws MessagingException, IOException {
        MimeMessage message = new MimeMessage(NO_SESSION);
        message.setFrom(new InternetAddress("club@lynchet.invalid", club, StandardCharsets.UTF_8.name()));
        message.setRecipient(Message.RecipientType.TO, new InternetAddress(letter.to()));
        message.setSubject(letter.subject(), StandardCharsets.UTF_8.name());
        message.setText(letter.text(), StandardCharsets.UTF_8.name());
        message.setSentDate(Date.from(clock.instant()));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        message.writeTo(out);
        return out.toByteArray();
    }

    private List<Path> newestFirst() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        record Dated(Path file, Instant at) {}
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> NAME.matcher(f.getFileName().toString()).matches())
                    .map(file -> new Dated(file, at(file)))
                    .sorted(Comparator.comparing(Dated::at).reversed().thenComparing(d -> d.file()))
                    .map(Dated::file)
                    .toList();
        }
    }

    private static Instant at(Path file) {
        try {
            return Files.getLastModifiedTime(file).toInstant();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Those that lie there, the latest first. */
    List<LetterView> all() {
        try {
            return newestFirst().stream().map(Letters::view).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static LetterView view(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            MimeMessage message = new MimeMessage(NO_SESSION, in);
            return new LetterView(
                    file.getFileName().toString(),
                    message.getSentDate().toInstant(),
                    ((InternetAddress) message.getRecipients(Message.RecipientType.TO)[0]).getAddress(),
                    message.getSubject());
        } catch (IOException | MessagingException e) {
            throw new IllegalStateException(file + " cannot be read as a letter", e);
        }
    }

    /** @throws Refusal 404 if there is no such letter */
    Path file(String name) {
        Path file = NAME.matcher(name).matches() ? folder.resolve(name) : null;
        if (file == null || !Files.isRegularFile(file)) {
            throw Refusal.missing("letter", name);
        }
        return file;
    }
}

package lynchet.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Locale;
import lynchet.format.csv.Preview;
import lynchet.server.keep.Jobs;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Sheets, and imports that take a while: started, watched, cancelled. */
@RestController
@OpenTo(Who.HEADS)
@RequestMapping("/api")
class ExchangeController {

    private static final int MOST_BYTES = 64 << 20;

    private final Exchange exchange;
    private final TakingIn takingIn;
    private final Jobs jobs;

    ExchangeController(Exchange exchange, TakingIn takingIn, Jobs jobs) {
        this.exchange = exchange;
        this.takingIn = takingIn;
        this.jobs = jobs;
    }

    /** A sheet, written as it is read. */
    @GetMapping(path = "/csv/{kind}", produces = "text/csv")
    ResponseEntity<StreamingResponseBody> sheet(@PathVariable String kind) {
        Exchange.Kind what = kind(kind);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"lynchet-" + kind + ".csv\"")
                .body(out -> exchange.sheet(what, out));
    }

    /** What taking a sheet in would do; changes nothing. */
    @PostMapping("/csv/{kind}/check")
    Preview look(@PathVariable String kind, @RequestParam(required = false) String dates, InputStream body)
            throws IOException {
        return exchange.look(kind(kind), bytes(body), dates);
    }

    /** Starts taking a sheet in. */
    @PostMapping("/csv/{kind}")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Jobs.JobView take(
            @PathVariable String kind,
            @RequestParam(required = false) String dates,
            @RequestParam(defaultValue = "false") boolean skipBad,
            InputStream body)
            throws IOException {
        Exchange.Kind what = kind(kind);
        byte[] csv = bytes(body);
        return jobs.start(
                Jobs.Kind.IMPORT, "Import " + kind, progress -> exchange.take(what, csv, dates, skipBad, progress));
    }

    /** Starts taking an archive in, as {@code POST /api/archive} does at once. */
    @PostMapping("/imports")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Jobs.JobView takeArchive(@RequestParam String mode, InputStream body) throws IOException {
        TakingIn.Mode how = TakingIn.Mode.of(mode);
        Upload upload = Upload.of(body);
        return jobs.start(
                Jobs.Kind.IMPORT,
                "Import the club",
                progress -> {
                    try (Upload file = upload) {
                        return takingIn.take(file.path(), how, progress);
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                },
                upload::drop);
    }

    @GetMapping("/imports/{id}")
    Jobs.JobView progress(@PathVariable String id) {
        return jobs.find(id).orElseThrow(() -> Refusal.missing("import", id));
    }

    /** Cancels an import; what it had done so far is undone. */
    @DeleteMapping("/imports/{id}")
    Jobs.JobView cancel(@PathVariable String id) {
        return jobs.cancel(id).orElseThrow(() -> Refusal.missing("import", id));
    }

    private static byte[] bytes(InputStream body) throws IOException {
        byte[] bytes = body.readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw Refusal.of(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "TOO_LARGE",
                    "/",
                    "The file is larger than " + (MOST_BYTES >> 20) + " MB. Nothing was changed.");
        }
        return bytes;
    }

    private static Exchange.Kind kind(String kind) {
        try {
            return Exchange.Kind.valueOf(kind.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw Refusal.missing("sheet", kind);
        }
    }
}

package lynchet.server.door;

import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Shows a tablet the way in, and hands it the certificate of the club's own authority, which it installs once. */
@RestController
class TabletController {

    private final Tablet tablet;

    TabletController(Tablet tablet) {
        this.tablet = tablet;
    }

    @OpenTo(Who.ACCOUNTS)
    @GetMapping("/api/tablet")
    Tablet.WayIn wayIn() {
        return tablet.wayIn();
    }

    @OpenTo(Who.STRANGERS)
    @GetMapping("/authority.crt")
    ResponseEntity<Resource> authority() {
        return tablet.certificate()
                .map(file -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
                        .<Resource>body(new FileSystemResource(file)))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}

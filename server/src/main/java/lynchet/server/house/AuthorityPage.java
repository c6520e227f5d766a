package lynchet.server.house;

import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Hands the certificate of the club's own authority to a tablet, which installs it once. It is no secret. */
@Controller
class AuthorityPage {

    private final String authority;

    AuthorityPage(@Value("${lynchet.authority}") String authority) {
        this.authority = authority;
    }

    @GetMapping("/authority.crt")
    ResponseEntity<Resource> authority() {
        if (authority.isEmpty() || !Files.isRegularFile(Path.of(authority))) {
            return ResponseEntity.notFound().build();
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
                .body(new FileSystemResource(authority));
    }
}

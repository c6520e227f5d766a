package lynchet.server.edit;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where history and undo answered before; a script or a page that was left open finds them for one release more. */
@Hidden
@RestController
@RequestMapping("/api/map")
class MovedController {

    @OpenTo(Who.ACCOUNTS)
    @GetMapping({"/history", "/changes"})
    ResponseEntity<Void> read(HttpServletRequest request) {
        return moved(request.getRequestURI().replace("/api/map/", "/api/edits/"), request);
    }

    @OpenTo(Who.COACHES)
    @PostMapping("/undo/{edit}")
    ResponseEntity<Void> undo(@PathVariable String edit, HttpServletRequest request) {
        return moved("/api/edits/" + edit + "/undo", request);
    }

    private static ResponseEntity<Void> moved(String path, HttpServletRequest request) {
        String query = request.getQueryString();
        return ResponseEntity.status(HttpStatus.PERMANENT_REDIRECT)
                .location(URI.create(query == null ? path : path + "?" + query))
                .build();
    }
}

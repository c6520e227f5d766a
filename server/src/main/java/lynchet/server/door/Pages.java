package lynchet.server.door;

import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every address of the interface is the same page; the browser does the rest. */
@Controller
class Pages {

    @OpenTo(Who.STRANGERS)
    @GetMapping({
        "/map/**",
        "/chains/**",
        "/ranks/**",
        "/term/**",
        "/mat/**",
        "/people/**",
        "/rounds/**",
        "/house/**",
        "/enter"
    })
    String page() {
        return "forward:/index.html";
    }
}

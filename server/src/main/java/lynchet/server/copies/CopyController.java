package lynchet.server.copies;

import java.util.List;
import lynchet.server.copies.Copies.CopyView;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Safe keeping: copies of everything, accounts among it, for the head coach. */
@RestController
@OpenTo(Who.HEADS)
@RequestMapping("/api/copies")
class CopyController {

    private final Copies copies;
    private final ReadThrough whole;

    CopyController(Copies copies, ReadThrough whole) {
        this.copies = copies;
        this.whole = whole;
    }

    @GetMapping
    List<CopyView> all() {
        return copies.all();
    }

    /** Whether everything that is kept could be read. */
    @GetMapping("/whole")
    ReadThrough.ReadThroughView whole() {
        return whole.view();
    }

    /** Takes a copy now; answers when it has been read back. */
    @PostMapping
    CopyView take() {
        return copies.take();
    }

    @GetMapping("/{name}")
    ResponseEntity<Resource> one(@PathVariable String name) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(new FileSystemResource(copies.file(name)));
    }
}

package lynchet.server;

import lynchet.server.start.DataFolder;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the server. */
@SpringBootApplication
public class LynchetServer {

    public static void main(String[] args) {
        SpringApplication server = new SpringApplication(LynchetServer.class);
        server.addListeners(new DataFolder());
        server.run(args);
    }
}

package lynchet.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the server. */
@SpringBootApplication
public class LynchetServer {

    public static void main(String[] args) {
        SpringApplication.run(LynchetServer.class, args);
    }
}

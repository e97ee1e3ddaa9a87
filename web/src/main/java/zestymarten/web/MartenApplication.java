package zestymarten.web;

import java.time.Clock;
import java.time.ZoneId;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts the application. */
@SpringBootApplication(proxyBeanMethods = false)
public class MartenApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(MartenApplication.class, arguments);
    }

    /** Moments are the same everywhere; which day it is depends on where the workshop is. */
    @Bean
    Clock clock() {
        return Clock.system(ZoneId.systemDefault());
    }
}

package zestymarten.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts the application. */
@SpringBootApplication(proxyBeanMethods = false)
public class MartenApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(MartenApplication.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}

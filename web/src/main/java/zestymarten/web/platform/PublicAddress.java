package zestymarten.web.platform;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * The address under which others reach a page, for what is printed: the one that this installation was started with, or
 * that of the request where it was given none.
 */
@Component
public class PublicAddress {
    private final String given;

    PublicAddress(@Value("${marten.public-url}") String given) {
        this.given = given;
    }

    /** A page's address in full. */
    public String of(String path) {
        UriComponentsBuilder base = given.isEmpty()
                ? ServletUriComponentsBuilder.fromCurrentContextPath()
                : UriComponentsBuilder.fromUriString(given);
        return base.build().toUriString().replaceAll("/+$", "") + path;
    }
}

package zestymarten.web.platform;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * The address under which others reach a page, for what is printed: the one that this installation was started with, or
 * that of the request where it was told none.
 */
@Component
public class PublicAddress {
    private final String told;

    PublicAddress(@Value("${marten.public-url}") String told) {
        this.told = told;
    }

    /** A page's address in full. */
    public String of(String path) {
        UriComponentsBuilder base = told.isEmpty()
                ? ServletUriComponentsBuilder.fromCurrentContextPath()
                : UriComponentsBuilder.fromUriString(told);
        return base.build().toUriString().replaceAll("/+$", "") + path;
    }
}

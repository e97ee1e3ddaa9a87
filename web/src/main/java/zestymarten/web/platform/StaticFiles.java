package zestymarten.web.platform;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Styles, scripts and fonts, under addresses that change with their content.
 *
 * <p>They have patterns of their own, instead of everything that no page has: each link of a page is asked for whether it is
 * such a file, and looking through the program's archive for {@code /units/7} took half the time of a long list.
 */
@Configuration(proxyBeanMethods = false)
class StaticFiles implements WebMvcConfigurer {
    private static final Duration KEPT = Duration.ofDays(365);

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        add(registry, "classpath:/static/", "/*.js", "/*.svg", "/*.webmanifest");
        add(registry, "classpath:/static/styles/", "/styles/**");
        add(registry, "classpath:/static/fonts/", "/fonts/**");
        add(registry, "classpath:/static/vendor/", "/vendor/**");
        add(registry, "classpath:/META-INF/resources/webjars/", "/webjars/**");
    }

    private static void add(ResourceHandlerRegistry registry, String location, String... patterns) {
        registry.addResourceHandler(patterns)
                .addResourceLocations(location)
                .setCacheControl(CacheControl.maxAge(KEPT).cachePublic())
                .resourceChain(true)
                .addResolver(new VersionResourceResolver().addContentVersionStrategy("/**"));
    }
}

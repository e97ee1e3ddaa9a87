package zestymarten.web.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.util.DigestUtils;
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
    private static final String SCRIPTS = "classpath:/static/scripts/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        add(registry, "classpath:/static/", byContent(), "/*.js", "/*.svg", "/*.webmanifest");
        add(registry, SCRIPTS, new VersionResourceResolver().addFixedVersionStrategy(version(), "/**"), "/scripts/**");
        add(registry, "classpath:/static/styles/", byContent(), "/styles/**");
        add(registry, "classpath:/static/fonts/", byContent(), "/fonts/**");
        add(registry, "classpath:/static/vendor/", byContent(), "/vendor/**");
        add(registry, "classpath:/META-INF/resources/webjars/", byContent(), "/webjars/**");
    }

    private static void add(
            ResourceHandlerRegistry registry, String location, VersionResourceResolver versions, String... patterns) {
        registry.addResourceHandler(patterns)
                .addResourceLocations(location)
                .setCacheControl(CacheControl.maxAge(KEPT).cachePublic())
                .resourceChain(true)
                .addResolver(versions);
    }

    private static VersionResourceResolver byContent() {
        return new VersionResourceResolver().addContentVersionStrategy("/**");
    }

    /** Of all scripts together: they import each other by their names, so that one address must never mix two versions. */
    private static String version() {
        try {
            Resource[] scripts = new PathMatchingResourcePatternResolver().getResources(SCRIPTS + "**/*.js");
            Arrays.sort(scripts, Comparator.comparing(Resource::getDescription));
            StringBuilder all = new StringBuilder();
            for (Resource script : scripts) {
                all.append(script.getFilename()).append(DigestUtils.md5DigestAsHex(script.getContentAsByteArray()));
            }
            return DigestUtils.md5DigestAsHex(all.toString().getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException("The scripts of the pages cannot be read.", e);
        }
    }
}

package zestymarten.web.testrun;

import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;

/** Stages and manual steps in addresses and forms, by the codes by which they are stored too. */
@Configuration(proxyBeanMethods = false)
class StepCodes implements WebMvcConfigurer {
    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, Stage.class, Stage::of);
        registry.addConverter(String.class, ManualAction.class, ManualAction::of);
    }
}

package zestymarten.web.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.Languages;
import zestymarten.web.platform.Preferences;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** One's own account: password, where one is signed in, tokens for programs. */
@Controller
@RequestMapping("/account")
class AccountController {
    private static final String PAGE = "redirect:/account";

    private final People people;
    private final SignedIn signedIn;
    private final Tokens tokens;
    private final PersonPreferences preferences;
    private final ApplicationEventPublisher events;

    AccountController(
            People people,
            SignedIn signedIn,
            Tokens tokens,
            PersonPreferences preferences,
            ApplicationEventPublisher events) {
        this.people = people;
        this.signedIn = signedIn;
        this.tokens = tokens;
        this.preferences = preferences;
        this.events = events;
    }

    @GetMapping
    String page(Authentication who, HttpServletRequest request, Model model) {
        model.addAttribute("must", who.getPrincipal() instanceof Person person && person.mustChangePassword());
        model.addAttribute("shortest", PasswordRules.SHORTEST);
        model.addAttribute("places", signedIn.of(who.getName()));
        model.addAttribute("here", session(request));
        model.addAttribute("tokens", tokens.of(who.getName()));
        model.addAttribute("preferences", preferences.of(who.getName()));
        model.addAttribute("languages", Languages.all());
        return "people/account";
    }

    private static String session(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? "" : session.getId();
    }

    @PostMapping("/password")
    String password(
            @RequestParam String old,
            @RequestParam String fresh,
            @RequestParam String again,
            Principal who,
            HttpServletRequest request,
            RedirectAttributes once) {
        try {
            people.changePassword(who.getName(), old, fresh, again, session(request));
            signInAnew(who.getName(), request);
            once.addFlashAttribute("done", Words.say("account_controller.your_password_changed_you"));
        } catch (Refusal refused) {
            once.addFlashAttribute("problems", refused.texts());
        }
        return PAGE;
    }

    /** The session goes on with the person as the person is now, under another number. */
    private void signInAnew(String name, HttpServletRequest request) {
        Person person = people.loadUserByUsername(name);
        Authentication before = SecurityContextHolder.getContext().getAuthentication();
        var after = UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities());
        after.setDetails(before == null ? null : before.getDetails());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(after);
        SecurityContextHolder.setContext(context);
        request.getSession().setAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY, context);
        request.changeSessionId();
    }

    /** Anything that is not chosen, or not known, is as usual. */
    @PostMapping("/preferences")
    String prefer(
            @RequestParam(defaultValue = "") String language,
            @RequestParam(defaultValue = "") String decimal,
            @RequestParam(defaultValue = "") String temperature,
            @RequestParam(defaultValue = "") String length,
            @RequestParam(defaultValue = "") String section,
            Principal who,
            RedirectAttributes once) {
        preferences.choose(
                who.getName(),
                new Preferences(
                        Languages.of(language),
                        decimal.equals("comma"),
                        temperature.equals("fahrenheit"),
                        length.equals("feet"),
                        section.equals("gauge")));
        once.addFlashAttribute("done", Words.say("account_controller.preferences_saved"));
        return PAGE;
    }

    @PostMapping("/elsewhere")
    String elsewhere(Principal who, HttpServletRequest request, RedirectAttributes once) {
        signedIn.endOthers(who.getName(), session(request));
        events.publishEvent(new AuditEvent(AuditEvent.AuditKind.SESSIONS_ENDED, who.getName(), ""));
        once.addFlashAttribute("done", Words.say("account_controller.you_signed_out_everywhere"));
        return PAGE;
    }

    @PostMapping("/tokens")
    String make(
            @RequestParam String name,
            @RequestParam(defaultValue = "false") boolean writes,
            Principal who,
            RedirectAttributes once) {
        try {
            once.addFlashAttribute("token", tokens.make(who.getName(), name, writes));
        } catch (Refusal refused) {
            once.addFlashAttribute("problems", refused.texts());
        }
        return PAGE;
    }

    @PostMapping("/tokens/{id}/revoke")
    String revoke(@PathVariable long id, Principal who) {
        tokens.revoke(who.getName(), id);
        return PAGE;
    }
}

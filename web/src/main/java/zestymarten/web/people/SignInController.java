package zestymarten.web.people;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Destination;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;

/** Signing in, and the first account of an empty installation. */
@Controller
class SignInController {
    private final People people;
    private final String firstCode;

    SignInController(People people, @Value("${marten.first-code}") String firstCode) {
        this.people = people;
        this.firstCode = firstCode;
    }

    @GetMapping("/sign-in")
    String signIn(@RequestParam(defaultValue = "") String next, Model model) {
        if (people.none()) {
            return "redirect:/first";
        }
        model.addAttribute("demo", people.demo());
        model.addAttribute("next", Destination.of(next));
        return "people/sign-in";
    }

    @GetMapping("/first")
    String first(Model model) {
        model.addAttribute("problems", List.of());
        model.addAttribute("name", "");
        model.addAttribute("shortest", PasswordRules.SHORTEST);
        return people.none() ? "people/first" : "redirect:/sign-in";
    }

    /** Not reachable without the code that was printed when the application was started. */
    @PostMapping("/first")
    String addFirst(
            @RequestParam String code,
            @RequestParam String name,
            @RequestParam String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model)
            throws ServletException {
        try {
            if (firstCode.isEmpty() || !same(code.strip(), firstCode)) {
                throw new Refusal("code", Message.of("sign_in_controller.that_not_code_that"));
            }
            people.addFirst(name.strip(), password);
        } catch (Refusal refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("problems", ProblemView.all(refused.problems()));
            model.addAttribute("name", name);
            model.addAttribute("shortest", PasswordRules.SHORTEST);
            return "people/first";
        }
        request.login(name.strip(), password);
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        return "redirect:/";
    }

    private static boolean same(String typed, String expected) {
        return MessageDigest.isEqual(typed.getBytes(StandardCharsets.UTF_8), expected.getBytes(StandardCharsets.UTF_8));
    }
}

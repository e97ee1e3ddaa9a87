package zestymarten.web.account;

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
import zestymarten.web.platform.Refused;

/** Signing in, and the first account of an empty installation. */
@Controller
class AccountController {
    private final Accounts accounts;
    private final String firstCode;

    AccountController(Accounts accounts, @Value("${marten.first-code}") String firstCode) {
        this.accounts = accounts;
        this.firstCode = firstCode;
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        if (accounts.none()) {
            return "redirect:/first";
        }
        model.addAttribute("demo", accounts.demo());
        return "account/sign-in";
    }

    @GetMapping("/first")
    String first(Model model) {
        model.addAttribute("problems", List.of());
        model.addAttribute("name", "");
        return accounts.none() ? "account/first" : "redirect:/sign-in";
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
                throw new Refused("code", "That is not the code that was printed at the start. Read it there again.");
            }
            accounts.addFirst(name.strip(), password);
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("problems", refused.problems());
            model.addAttribute("name", name);
            return "account/first";
        }
        request.login(name.strip(), password);
        return "redirect:/";
    }

    private static boolean same(String typed, String expected) {
        return MessageDigest.isEqual(typed.getBytes(StandardCharsets.UTF_8), expected.getBytes(StandardCharsets.UTF_8));
    }
}

package zestymarten.web.unit;

import java.util.Optional;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page of the list of units on which some were chosen; what is empty is that of the first page. */
public record ListPlace(Optional<String> search, Optional<String> state, Optional<Integer> page) {
    /** Goes back to it. */
    public String back(RedirectAttributes attributes) {
        attributes.addAttribute("search", search.orElse(""));
        attributes.addAttribute("state", state.orElse(""));
        attributes.addAttribute("page", page.orElse(0));
        return "redirect:/units";
    }
}

package zestymarten.web.offline;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The page that stands in for any other while there is no network. The device keeps it, so it holds nothing of anybody. */
@Controller
class AwayController {
    @GetMapping("/away")
    String away() {
        return "offline/away";
    }
}

package zestymarten.web.platform;

/** Where somebody wanted to go before signing in: a path of this application, and nothing else. */
public final class Destination {
    private static final String TODAY = "/";
    private static final int LONGEST = 2000;

    private Destination() {}

    /** The path as it is if it leads into this application; the first page otherwise. */
    public static String of(String path) {
        boolean ours = path.length() <= LONGEST
                && path.startsWith("/")
                && !path.startsWith("//")
                && !path.startsWith("/sign-in")
                && path.chars().allMatch(each -> each > ' ' && each < 0x7f && each != '\\');
        return ours ? path : TODAY;
    }
}

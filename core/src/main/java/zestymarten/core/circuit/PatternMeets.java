package zestymarten.core.circuit;

/** Whether a pattern can change what a spot reads: most name one conductor, or one point. */
final class PatternMeets extends SameForAll<Boolean> {
    private final Spot spot;

    PatternMeets(Spot spot) {
        super(true);
        this.spot = spot;
    }

    private boolean meets(ConductorRole role) {
        return role == spot.linked().line()
                || role == spot.linked().other()
                || spot.a().name().contains(role.letter())
                || spot.b().name().contains(role.letter());
    }

    @Override
    public Boolean good() {
        return false;
    }

    @Override
    public Boolean broken(Pattern.ConductorBroken pattern) {
        return meets(pattern.role());
    }

    @Override
    public Boolean loose(Pattern.Loose pattern) {
        return meets(pattern.role());
    }

    @Override
    public Boolean parallelEarth(Pattern.ParallelEarth pattern) {
        return meets(ConductorRole.PROTECTIVE);
    }

    @Override
    public Boolean onSpur(Pattern.OnSpur pattern) {
        return pattern.point().equals(spot.point());
    }

    @Override
    public Boolean swapped(Pattern.Swapped pattern) {
        return pattern.point().equals(spot.point());
    }

    @Override
    public Boolean missing(Pattern.Missing pattern) {
        return pattern.point().equals(spot.point());
    }
}

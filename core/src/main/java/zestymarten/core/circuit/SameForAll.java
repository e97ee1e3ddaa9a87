package zestymarten.core.circuit;

/** The same answer for every member, but for those that say otherwise. */
abstract class SameForAll<T> implements Pattern.PatternCases<T> {
    private final T answer;

    SameForAll(T answer) {
        this.answer = answer;
    }

    @Override
    public T good() {
        return answer;
    }

    @Override
    public T wrongWay(Pattern.WrongWay pattern) {
        return answer;
    }

    @Override
    public T wrongWayTwice(Pattern.WrongWayTwice pattern) {
        return answer;
    }

    @Override
    public T cut(Pattern.CableCut pattern) {
        return answer;
    }

    @Override
    public T broken(Pattern.ConductorBroken pattern) {
        return answer;
    }

    @Override
    public T loose(Pattern.Loose pattern) {
        return answer;
    }

    @Override
    public T onSpur(Pattern.OnSpur pattern) {
        return answer;
    }

    @Override
    public T interconnected(Pattern.Interconnected pattern) {
        return answer;
    }

    @Override
    public T swapped(Pattern.Swapped pattern) {
        return answer;
    }

    @Override
    public T missing(Pattern.Missing pattern) {
        return answer;
    }

    @Override
    public T otherProtective(Pattern.OtherProtective pattern) {
        return answer;
    }

    @Override
    public T parallelEarth(Pattern.ParallelEarth pattern) {
        return answer;
    }

    @Override
    public T longer(Pattern.Longer pattern) {
        return answer;
    }
}

# shellcheck shell=bash
# Tests and measures.

private_database() { # private_database NAME: a cluster of its own that is gone afterwards
  data=$(mktemp -d /tmp/marten-XXXXXX)
  chmod 755 "$data"
  trap 'stop_database || true; rm -rf "$data"' EXIT
  trap 'exit 130' INT TERM
  start_database
  make_database "$1"
  database_environment "$1"
}

check() { # the compiler takes one processor: scripts and the core are tested beside it
  local trials=() failed=()
  case "$*" in
    '') ;;
    --all-trials) trials=(-Dtrials.all=true) ;;
    *) fail "'test' takes no options but --all-trials, not '$*'." ;;
  esac
  need_to_test
  install_missing
  use_java
  shellcheck -x -P "$here" "$here/marten" "$here/.ci/run"
  private_database marten
  make_database marten_2 # the tests of the pages run three by three
  make_database marten_3
  cd "$here"
  forget_classes
  node --test web/src/test/scripts/*.test.mjs >"$data/scripts.log" 2>&1 &
  local scripts=$!
  mvn -B -ntp -pl core verify -DskipTests
  mvn -B -ntp -pl core surefire:test "${trials[@]}" >"$data/core.log" 2>&1 &
  local core=$!
  mvn -B -ntp verify -Dcore.tested.beside=true "${trials[@]}" || failed+=("pages or command")
  wait "$scripts" || failed+=("scripts")
  wait "$core" || failed+=("core")
  cat "$data/scripts.log" "$data/core.log"
  [ ${#failed[@]} = 0 ] || fail "Tests failed, see above: ${failed[*]}."
}

shots() {
  need_to_test
  install_missing
  use_java
  private_database marten
  cd "$here"
  forget_classes
  mvn -B -q -ntp -pl web -am verify -DskipITs -Dtest=Shots -Dsurefire.failIfNoSpecifiedTests=false
  say "The pictures are in docs/screenshots."
}

build_measures() { # fills $measures with the class path of the measuring programs
  install_missing
  use_java
  (cd "$here" && mvn -B -q -ntp -Pmeasure -pl benchmarks -am -DskipTests -Dspotless.check.skip=true package \
    dependency:build-classpath -Dmdep.outputFile=target/class-path -Dmdep.includeScope=runtime)
  measures="$here/benchmarks/target/classes:$(cat "$here/benchmarks/target/class-path")"
}

study() {
  build_measures
  "$JAVA_HOME/bin/java" -cp "$measures" zestymarten.benchmarks.Study "$here/docs/study.md"
}

speed() {
  build_measures
  "$JAVA_HOME/bin/java" -cp "$measures" org.openjdk.jmh.Main "$@"
}

bench() {
  data=$(mktemp -d /tmp/marten-XXXXXX)
  chmod 755 "$data"
  trap '"$here/marten" stop --data "$data" >/dev/null; rm -rf "$data"' EXIT
  "$here/marten" up --port "$(free_port)" --data "$data"
  use_java
  "$JAVA_HOME/bin/java" "$here/benchmarks/Load.java" "http://$loopback:$(recall web-port)"
}

nodes() {
  need_to_run
  need nginx-light command -v nginx
  install_missing
  use_java
  bin=$(postgres_bin)
  export bin
  "$here/benchmarks/nodes"
}

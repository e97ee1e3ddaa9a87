# shellcheck shell=bash
# What must be installed.

as_root() {
  if [ "$(id -u)" = 0 ]; then
    "$@"
  elif command -v sudo >/dev/null; then
    sudo "$@"
  else
    fail "Something must be installed, which needs root. As root, run: apt-get install$missing"
  fi
}

postgres_bin() {
  local newest=""
  for newest in /usr/lib/postgresql/*/bin; do :; done
  [ -x "$newest/initdb" ] && printf '%s' "$newest"
}

java_17() {
  local candidate
  for candidate in "${JAVA_HOME:-}" /usr/lib/jvm/java-17-openjdk-*; do
    if [ -x "$candidate/bin/javac" ] && "$candidate/bin/javac" -version 2>&1 | grep -q '^javac 17\.'; then
      printf '%s' "$candidate"
      return
    fi
  done
  return 1
}

missing=""

need() { # need PACKAGE CHECK...
  local package=$1
  shift
  "$@" >/dev/null 2>&1 || missing="$missing $package"
}

install_missing() {
  [ -n "$missing" ] || return 0
  say "Installing:$missing"
  if [[ $missing == *postgresql* ]]; then
    # Debian would start a server of its own; ours is private to the data folder.
    as_root mkdir -p /etc/postgresql-common/createcluster.d
    printf 'create_main_cluster = false\n' | as_root tee /etc/postgresql-common/createcluster.d/marten.conf >/dev/null
  fi
  local log
  log=$(mktemp)
  # shellcheck disable=SC2086 # a list of packages
  { as_root apt-get update -q && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -q -y --no-install-recommends $missing; } \
    >"$log" 2>&1 || fail "Debian's packages could not be installed: $(grep -m1 '^E:' "$log" || tail -n 1 "$log")"
  rm -f "$log"
}

need_to_run() {
  need openjdk-17-jdk-headless java_17
  need maven command -v mvn
  need postgresql postgres_bin
}

need_to_test() {
  need_to_run
  need chromium command -v chromium
  need chromium-headless-shell command -v chromium-headless-shell
  need chromium-driver command -v chromedriver
  need nodejs command -v node
  need shellcheck command -v shellcheck
}

use_java() {
  JAVA_HOME=$(java_17) || fail "There is no JDK 17. Install openjdk-17-jdk-headless."
  export JAVA_HOME
}

# shellcheck shell=bash
# The watch: what dies is started again.

launch_watch() {
  [ -z "$(process watch-process || true)" ] || return 0
  (umask 077 && touch "$data/watch.log")
  MARTEN_DATA=$data setsid nohup "$here/marten" watch --data "$data" >>"$data/watch.log" 2>&1 </dev/null 9>&- 8>&- &
  local pid=$!
  remember watch-process "$pid $(started_at "$pid")"
}

watched() { # whether this process is still the one that watches
  [ "$(process watch-process || true)" = "$$" ]
}

stands() { # whether both processes are there
  [ -n "$(running || true)" ] && { [ -n "$(recall database-url)" ] || [ -n "$(postmaster || true)" ]; }
}

watch() {
  read_options "$@"
  use_java
  local pause=1
  until watched; do sleep 0.2; done
  while watched; do
    if stands; then
      pause=1
    else
      (flock -w 60 9 && watched && ! stands && revive) 9>>"$data/lock" || say "$(date -Is) not started again; next try in $pause s"
      sleep "$pause"
      pause=$((pause < 60 ? pause * 2 : 60))
    fi
    sleep 1
  done
}

revive() { # under the lock
  say "$(date -Is) starting again what has died"
  stamp=$(recall web-build)
  app=$here/web/target/app-$stamp
  port=$(recall web-port)
  find_database
  [ -n "$(running || true)" ] || launch_application
}

stop_watch() {
  local pid
  pid=$(process watch-process) || return 0
  rm -f "$data/watch-process"
  kill "$pid" 2>/dev/null || true
}

wait_for_page() {
  for _ in {1..600}; do
    [[ $(answer /actuator/health) == HTTP/*" 200"* ]] && return
    [ -n "$(running || true)" ] || fail "The application does not start: $(why_not)"
    sleep 0.1
  done
  fail "The application does not answer within a minute: $(why_not)"
}

stop_application() {
  local pid
  pid=$(running) || return 1
  kill "$pid"
  for _ in {1..200}; do
    [ -n "$(running || true)" ] || break
    sleep 0.1
  done
  [ -z "$(running || true)" ] || kill -9 "$pid"
  rm -f "$data/web-process"
}

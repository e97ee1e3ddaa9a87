# shellcheck shell=bash
# Looking after an installation: backup, restore, verify, service, logs, doctor.

existing_data() {
  [ -d "$data" ] || fail "Nothing is kept in $data. Name the folder with --data."
  need_to_run
  install_missing
  use_java
  open_data
  was_running=$(postmaster || true)
  find_database
  bin=$(postgres_bin)
}

leave_as_it_was() {
  [ -n "$was_running" ] || stop_database || true
}

with_database() { # with_database PROGRAM OPTIONS...: one of PostgreSQL's programs on our database
  local program=$1 url
  shift
  url=$(recall database-url)
  if [ -n "$url" ]; then
    PGPASSWORD=$(recall database-password) "$bin/$program" -d "postgresql:$url" "$@"
  else
    PGPASSWORD=$(keeper_password) "$bin/$program" -h "$loopback" -p "$db_port" -U keeper -d marten "$@"
  fi
}

schema_version() { # of the database
  with_database psql -XqAt -f - <<<"select coalesce(max(version::int), 0) from flyway_schema_history where success"
}

program_version() { # the newest migration that this program knows
  find "$here/web/src/main/resources/db/migration" -name 'V*__*.sql' -printf '%f\n' | sed 's/^V\([0-9]*\)__.*/\1/' | sort -n | tail -n 1
}

backup() {
  read_options "$@"
  [ -n "$file" ] || fail "Say where to: ./marten backup FILE"
  [ ! -e "$file" ] || fail "$file is there already; nothing is overwritten. Choose another name."
  existing_data
  local folder
  folder=$(mktemp -d "$(dirname "$file")/.marten-backup-XXXXXX") || fail "Nothing can be written in $(dirname "$file")."
  # shellcheck disable=SC2064 # the folder of now
  trap "rm -rf '$folder'" EXIT
  with_database pg_dump -Fc --no-owner --no-privileges -f "$folder/database" ||
    fail "The backup was not made; $(df -h --output=avail "$folder" | tail -n 1 | tr -d ' ') are free in $(dirname "$file")."
  printf 'zesty-marten-backup 1\nschema %s\nkind %s\nmade %s\nsha256 %s\n' "$(schema_version)" "$(recall kind)" "$(date -Is)" \
    "$(sha256sum <"$folder/database" | cut -d' ' -f1)" >"$folder/manifest"
  (umask 077 && tar -C "$folder" -cf "$folder/whole" manifest database && mv -T "$folder/whole" "$file") ||
    fail "The backup was not made; $(df -h --output=avail "$folder" | tail -n 1 | tr -d ' ') are free in $(dirname "$file")."
  leave_as_it_was
  say "$(wc -c <"$file") bytes in $file"
}

restore() {
  read_options "$@"
  [ -n "$file" ] || fail "Say where from: ./marten restore FILE"
  [ -f "$file" ] || fail "There is no file $file."
  need_to_run
  install_missing
  use_java
  local folder version
  folder=$(mktemp -d)
  # shellcheck disable=SC2064 # the folder of now
  trap "rm -rf '$folder'" EXIT
  if ! tar -C "$folder" -xf "$file" manifest database 2>/dev/null || [ "$(head -n 1 "$folder/manifest")" != "zesty-marten-backup 1" ]; then
    fail "$file is no whole backup of this program; it may be cut off. Nothing was changed."
  fi
  [ "$(sha256sum <"$folder/database" | cut -d' ' -f1)" = "$(manifest sha256)" ] ||
    fail "$file is damaged: its content is not what was saved. Nothing was changed."
  version=$(manifest schema)
  [ "$version" -le "$(program_version)" ] ||
    fail "$file is of a newer program (data version $version, this program knows $(program_version)). Update the program first. Nothing was changed."
  open_data
  if [ -e "$data/postgres" ] || [ -n "$(recall database-url)" ]; then
    fail "$data holds data already, and nothing is overwritten. Name an empty folder with --data."
  fi
  start_database
  make_database marten
  chmod 755 "$folder"
  if ! with_database pg_restore --exit-on-error --single-transaction --no-owner --role marten_owner "$folder/database" 2>"$folder/why"; then
    stop_database || true
    rm -rf "$(readlink -f "$data/postgres")" "$data/postgres"
    fail "Nothing was restored: $(grep -m1 -i error "$folder/why" || head -n 1 "$folder/why")"
  fi
  remember kind "$(manifest kind)"
  stop_database || true
  say "Restored into $data. Start it with ./marten up --data $data"
}

manifest() { # manifest WORD: its value in the backup that is being read
  sed -n "s/^$1 //p" "$folder/manifest"
}

verify() {
  read_options "$@"
  existing_data
  local wrong
  wrong=$(with_database psql -XqAt -F ': ' -v ON_ERROR_STOP=1 -f - <<<"select 'test ' || r.id, w from run r, verify_run(r.id) w order by r.id") ||
    fail "The data cannot be verified: start this program once with ./marten up, so that they have seals."
  if [ -n "$wrong" ]; then
    say "$wrong"
    leave_as_it_was
    fail "The data are not as they were recorded."
  fi
  with_database psql -XqAt -f - <<<"select 'Every entry is as it was recorded: ' || (select count(*) from entry) || ' entries in ' || (select count(*) from run) || ' tests, ' || (select count(*) from run_seal) || ' of them ended and sealed.'"
  leave_as_it_was
}

unit_file() { # the systemd unit
  cat <<END
[Unit]
Description=Zesty Marten in $data
After=network.target

[Service]
Type=forking
GuessMainPID=no
User=$(id -un)
ExecStart=$here/marten up --data $data
ExecStop=$here/marten stop --data $data
TimeoutStartSec=900
Restart=on-failure
RestartSec=10

[Install]
WantedBy=multi-user.target
END
}

service() {
  read_options "$@"
  data=$(realpath -m -- "$data")
  local name place
  name=zesty-marten-$(printf '%s' "$data" | sha256sum | cut -c1-8).service
  place=${MARTEN_UNIT_DIR:-/etc/systemd/system}/$name
  missing=" (the unit $place)"
  unit_file | as_root tee "$place" >/dev/null
  if command -v systemctl >/dev/null && [ -d /run/systemd/system ]; then
    as_root systemctl daemon-reload
    as_root systemctl enable "$name" >/dev/null 2>&1
    say "It starts at boot from now on ($place). Start it now with: systemctl start $name"
  else
    say "The unit is written: $place. systemd does not run here, so nothing was enabled."
  fi
}

logs() {
  read_options "$@"
  [ -f "$data/web.log" ] || fail "Nothing was logged in $data."
  tail -n 100 "$data/web.log"
  [ ! -s "$data/watch.log" ] || { say "--- what was started again" && tail -n 20 "$data/watch.log"; }
}

doctor() {
  read_options "$@"
  [ -d "$data" ] || fail "Nothing is kept in $data. Name the folder with --data."
  data=$(cd "$data" && pwd -P)
  port=$(recall web-port)
  local wrong=0
  ill() {
    say "- $*"
    wrong=$((wrong + 1))
  }
  java_17 >/dev/null || ill "There is no JDK 17. Run ./marten up, or install openjdk-17-jdk-headless."
  postgres_bin >/dev/null || ill "PostgreSQL is not installed. Run ./marten up, or install postgresql."
  [ -O "$data" ] || ill "The folder $data belongs to somebody else."
  [ -z "$(find "$data" -maxdepth 0 -perm /022)" ] || ill "Others may write in the folder $data: chmod go-w $data"
  [ "$(df --output=avail -k "$data" | tail -n 1)" -gt 500000 ] || ill "Less than 500 MB are free for $data."
  [ "$(awk '/MemTotal/ { print $2 }' /proc/meminfo)" -gt 1500000 ] || ill "The machine has less than 1.5 GB of memory, of which the application may take 1 GB and the database needs the rest."
  [ -n "$(recall database-url)" ] || [ -n "$(postmaster || true)" ] || ill "The database does not run. Run ./marten up."
  if [ -z "$(running || true)" ]; then
    ill "The application does not run. Run ./marten up; why it ended may stand in $data/web.log."
  elif ! [[ $(answer /actuator/health) == HTTP/*" 200"* ]]; then
    ill "The application runs but does not answer as it should: $(why_not)"
  fi
  [ -n "$(process watch-process || true)" ] || ill "Nobody watches it: after a crash it would stay down. Run ./marten up."
  [ "$(recall web-build)" = "$(build_stamp)" ] || ill "What runs is not the program that stands in $here. Run ./marten up."
  if [ "$(recall address)" ] && [ "$(scheme)" = http ] && [ -z "$(recall proxy)" ]; then
    ill "Others reach it without TLS, so passwords can be read on the way. Use --keystore, or --proxy with a proxy that has TLS."
  fi
  [ "$wrong" = 0 ] || fail "$wrong found."
  say "Nothing is wrong with the installation in $data."
}

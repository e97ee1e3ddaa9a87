# shellcheck shell=bash
# PostgreSQL: a private cluster on loopback, never as root.

as_keeper() { # as the account that owns the cluster, from a folder that it can enter
  if [ "$(id -u)" = 0 ]; then
    (cd / && runuser -u postgres -- "$@")
  else
    "$@"
  fi
}

cluster_folder() {
  if [ -L "$data/postgres" ] || [ -d "$data/postgres" ] || [ "$(id -u)" != 0 ] || as_keeper test -x "$data"; then
    return
  fi
  local outside
  outside=/var/lib/zesty-marten/$(printf '%s' "$data" | sha256sum | cut -c1-12)
  say "The account postgres may not enter $data; the database's files are kept in $outside."
  mkdir -p "$outside"
  ln -s "$outside/postgres" "$data/postgres"
}

make_cluster() {
  local place=$1 fresh="$1.new" words
  words=$(mktemp)
  say "Making the database"
  rm -rf "$fresh"
  mkdir -p "$fresh" 2>/dev/null || fail "The folder $fresh cannot be made. Choose another with --data."
  chmod 700 "$fresh"
  secret >"$words"
  remember keeper-password "$(cat "$words")"
  remember database-password "$(secret)"
  if [ "$(id -u)" = 0 ]; then
    chown postgres: "$fresh" "$words"
  fi
  as_keeper "$bin/initdb" --pgdata "$fresh" --username keeper --pwfile "$words" --auth scram-sha-256 --data-checksums \
    --encoding UTF8 --locale C.UTF-8 >"$data/initdb.log" 2>&1 || fail "The database could not be made: $(tail -n 1 "$data/initdb.log")"
  rm -f "$words" "$data/initdb.log"
  mv "$fresh" "$place"
}

keeper_password() { # of the account that owns the cluster; the application never gets it
  recall keeper-password
}

sql() { # sql DATABASE STATEMENT; the statement is no argument, which others could see
  PGPASSWORD=$(keeper_password) "$bin/psql" -XqAt -h "$loopback" -p "$db_port" -U keeper -d "$1" -v ON_ERROR_STOP=1 -f - <<<"$2"
}

database_answers() {
  [ -n "$db_port" ] && [ "$(sql postgres 'show data_directory' 2>/dev/null)" = "$cluster" ]
}

is_taken() {
  (exec 3<>"/dev/tcp/$loopback/$1") 2>/dev/null
}

free_port() {
  local port
  for _ in {1..50}; do
    port=$((20000 + RANDOM % 10000))
    is_taken "$port" || break
  done
  printf '%s' "$port"
}

launch_database() {
  # What somebody typed does not belong in a log: statements are not logged, nor the values in them.
  as_keeper "$bin/pg_ctl" start -w -t 60 -D "$cluster" -l "$cluster/server.log" \
    -o "-p $db_port -c listen_addresses=$loopback -c unix_socket_directories= -c log_min_error_statement=panic -c log_error_verbosity=terse" \
    >/dev/null 2>&1 9>&-
}

start_database() {
  bin=$(postgres_bin) || fail "PostgreSQL is not installed. Install the package postgresql."
  cluster_folder
  local place
  place=$(readlink -f "$data/postgres")
  if [ -d "$place" ] && [ ! -f "$place/PG_VERSION" ]; then
    fail "The folder $place holds no database that can be read. Move it away, or choose another with --data."
  fi
  [ -d "$place" ] || make_cluster "$place"
  cluster=$place
  local version wanted
  version=$(cat "$cluster/PG_VERSION")
  wanted=$("$bin/postgres" --version | grep -o '[0-9]*' | head -n 1)
  [ "$version" = "$wanted" ] || fail "The database in $cluster is of PostgreSQL $version, but $wanted is installed. Install postgresql-$version."
  # Until they had a password each, both accounts had the same.
  [ -n "$(keeper_password)" ] || remember keeper-password "$(recall database-password)"
  db_port=$(recall database-port)
  database_answers && return
  # The port stays: an application that is running finds the database again.
  if [ -z "$db_port" ] || is_taken "$db_port"; then
    db_port=$(free_port)
    remember database-port "$db_port"
  fi
  rotate "$cluster/server.log"
  # After a crash the old server may need a moment to be gone.
  for _ in {1..5}; do
    launch_database && break
    sleep 1
  done
  database_answers || fail "The database in $cluster does not start: $(why_no_database)"
}

why_no_database() {
  local said
  said=$(grep -o -E '(FATAL|PANIC): .*' "$cluster/server.log" 2>/dev/null | tail -n 1)
  if df --output=avail "$cluster" | tail -n 1 | grep -qx ' *0'; then
    said="the disk is full"
  fi
  printf '%s; see %s' "${said:-it gave no reason}" "$cluster/server.log"
}

rotate() { # rotate LOG: a long one becomes LOG.1
  if [ -f "$1" ] && [ "$(stat -c %s "$1")" -gt 10000000 ]; then
    mv -f "$1" "$1.1"
  fi
}

make_database() { # make_database NAME: one account owns what is in it, another works with it and cannot change records
  make_account marten database-password
  make_account marten_owner owner-password
  local owner
  owner=$(sql postgres "select pg_get_userbyid(datdba) from pg_database where datname = '$1'")
  if [ -z "$owner" ]; then
    sql postgres "create database $1 owner marten_owner"
  elif [ "$owner" != marten_owner ]; then # until there were two, one account did both
    sql "$1" "alter database $1 owner to marten_owner; reassign owned by marten to marten_owner;
      grant select, insert, update, delete on all tables in schema public to marten;
      grant usage, select on all sequences in schema public to marten"
  fi
}

make_account() { # make_account ROLE SECRET
  [ -n "$(recall "$2")" ] || remember "$2" "$(secret)"
  [ -n "$(sql postgres "select 1 from pg_roles where rolname = '$1'")" ] ||
    sql postgres "create role $1 login password '$(recall "$2")'"
}

postmaster() { # the number of our database's process, if it runs; of a copied folder's, never the original's
  local pid="" place
  place=$(readlink -f "$data/postgres") || return 1
  [ -f "$place/postmaster.pid" ] || return 1
  read -r pid <"$place/postmaster.pid"
  [ -n "$pid" ] && [ -n "$(started_at "$pid")" ] && [ "$(readlink "/proc/$pid/cwd")" = "$place" ] && printf '%s' "$pid"
}

stop_database() {
  bin=$(postgres_bin) || return 1
  [ -n "$(postmaster || true)" ] || return 1
  as_keeper "$bin/pg_ctl" stop -m fast -w -t 60 -D "$(readlink -f "$data/postgres")" >/dev/null 2>&1
}

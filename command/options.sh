# shellcheck shell=bash
# What is said to the command, and up and stop.

read_options() {
  data=$here/.marten
  port=""
  demo=demo
  file=""
  declare -gA told=()
  while [ $# -gt 0 ]; do
    case $1 in
      --port)
        if ! [[ ${2:-} =~ ^[0-9]{1,5}$ ]] || ((10#$2 < 1 || 10#$2 > 65535)); then
          fail "--port needs a number from 1 to 65535, not '${2:-}'."
        fi
        port=$((10#$2))
        ;;
      --data)
        [ -n "${2:-}" ] || fail "--data needs a folder."
        data=$2
        ;;
      --address | --public-url | --keystore | --proxy | --database)
        check_option "$1" "${2:-}"
        told[${1#--}]=$2
        ;;
      --no-demo)
        demo=empty
        set -- "$1" "$@"
        ;;
      --*) fail "'$1' is not known here. Run ./marten without a word for what is." ;;
      *)
        [ -z "$file" ] || fail "One file at a time, not '$file' and '$1'."
        file=$(realpath -m -- "$1")
        set -- "$1" "$@"
        ;;
    esac
    shift 2
  done
}

check_option() { # check_option OPTION VALUE; an empty value takes back what was told before
  [ -n "$2" ] || return 0
  case $1 in
    --address)
      [[ $2 =~ ^[0-9a-fA-F:.]+$ ]] || fail "--address needs an address of this machine such as 192.168.1.20 or 0.0.0.0, not '$2'."
      [[ $2 == 0.0.0.0 || $2 == 127.* ]] || hostname -I 2>/dev/null | tr ' ' '\n' | grep -qxF "$2" ||
        fail "$2 is not an address of this machine; it has: $(hostname -I)"
      ;;
    --public-url)
      [[ $2 =~ ^https?://[A-Za-z0-9.-]+(:[0-9]+)?/?$ ]] || fail "--public-url needs an address such as https://marten.workshop:8443, not '$2'."
      ;;
    --keystore)
      [ -r "$2" ] || fail "The keystore $2 cannot be read."
      [ -r "$2.password" ] || fail "The password of the keystore is expected in $2.password, which cannot be read."
      ;;
    --proxy)
      [[ $2 =~ ^[0-9a-fA-F:.]+(,\ *[0-9a-fA-F:.]+)*$ ]] || fail "--proxy needs addresses such as '10.0.0.2, 10.0.0.3', not '$2'."
      ;;
    --database)
      [[ $2 =~ ^//[^/]+/[^?]+(\?.*)?$ ]] || fail "--database needs an address such as //db.workshop:5432/marten?user=marten, not '$2'."
      ;;
  esac
}

keep_options() {
  local option
  for option in "${!told[@]}"; do
    case $option in
      database) remember database-url "${told[$option]}" ;;
      keystore) remember keystore "$(realpath -- "${told[$option]}")" ;;
      *) remember "$option" "${told[$option]}" ;;
    esac
  done
  if [ "$(scheme)" = https ]; then
    need curl command -v curl
    install_missing
    "$JAVA_HOME/bin/keytool" -list -storetype PKCS12 -keystore "$(recall keystore)" -storepass:file "$(recall keystore).password" >/dev/null 2>&1 ||
      fail "The keystore $(recall keystore) does not open with the password in $(recall keystore).password."
  fi
}

tell() {
  if [[ $(answer /sign-in) == HTTP/*" 302"* ]]; then
    say "Nobody can sign in yet. Make the first account at the address below with the code $(recall first-code)"
  elif [ "$(recall kind)" = demo ]; then
    say "Demo accounts: bench (technician), lead (lead hand), admin (administrator), viewer; password marten-demo"
  fi
  local url
  url=$(recall public-url)
  say "${url:-$(scheme)://$(host):$port/}"
}

find_database() {
  if [ -z "$(recall database-url)" ]; then
    start_database
    make_database marten
  else
    [ -n "$(recall database-password)" ] || fail "The password of the database is expected in $data/database-password."
  fi
}

up() {
  read_options "$@"
  [ -z "$file" ] || fail "'$file' is not known here. Run ./marten without a word for what is."
  need_to_run
  install_missing
  use_java
  open_data
  stamp=$(build_stamp)
  local ours
  ours=$(recall web-port)
  if [ -n "$(running || true)" ]; then
    [ -z "$port" ] || [ "$port" = "$ours" ] || fail "It already runs at $(scheme)://$(host):$ours/. Run ./marten stop first."
    port=$ours
    if [ "$(recall web-build)" = "$stamp" ] && [ ${#told[@]} = 0 ]; then
      local db_port_before
      db_port_before=$(recall database-port)
      find_database
      if [ "$(recall database-port)" != "$db_port_before" ]; then
        stop_application || true
        app=$here/web/target/app-$stamp
        launch_application
      fi
      wait_for_page
      launch_watch
      tell
      return
    fi
    build # while the old one still answers
    say "Starting anew"
    stop_watch
    stop_application
  fi
  port=${port:-${ours:-$default_port}}
  ! is_taken "$port" || fail "Port $port is taken by another program. Choose another: ./marten up --port N"
  stop_watch
  [ -n "$(recall kind)" ] || remember kind "$demo"
  [ -n "$(recall first-code)" ] || remember first-code "$(secret | cut -c1-10)"
  keep_options
  find_database
  build
  remember web-port "$port"
  launch_application
  wait_for_page
  launch_watch
  tell
}

stop() {
  read_options "$@"
  [ -d "$data" ] || fail "Nothing is kept in $data, so nothing can be running there."
  open_data
  local stopped=""
  stop_watch
  stop_application && stopped=yes
  stop_database && stopped=yes
  if [ -n "$stopped" ]; then say "Stopped."; else say "Nothing was running."; fi
}

# shellcheck shell=bash
# The application: built, started, asked.

build_stamp() {
  (cd "$here" && find pom.xml .mvn core/pom.xml core/src/main simulator/pom.xml simulator/src/main web/pom.xml web/src/main docs/guide.md docs/glossary.md -type f -print0 | sort -z |
    xargs -0 sha256sum | sha256sum | cut -c1-12)
}

forget_classes() { # what was compiled from sources that are gone, and files that have moved, would be packed and tested too
  rm -rf "$here"/core/target/*classes "$here"/simulator/target/*classes "$here"/web/target/*classes
}

build() {
  app=$here/web/target/app-$stamp
  [ -f "$app/marten.jar" ] && return
  say "Building"
  local log=$data/build.log
  mkdir -p "$here/web/target"
  exec 8>>"$here/web/target/build.lock"
  flock 8
  if [ -f "$app/marten.jar" ]; then # somebody else has built it meanwhile
    exec 8>&-
    return
  fi
  forget_classes
  (cd "$here" && mvn -B -q -ntp -Dmaven.test.skip -Dspotless.check.skip -Dunchecked -pl web -am package) >"$log" 2>&1 8>&- 9>&- ||
    fail "The build failed: $(grep -m1 ERROR "$log" || tail -n 1 "$log"). All of it stands in $log."
  rm -rf "$app.new"
  "$JAVA_HOME/bin/java" -Djarmode=tools -jar "$here/web/target/marten.jar" extract --destination "$app.new" >>"$log" 2>&1 ||
    fail "The build cannot be unpacked; see $log."
  mv "$app.new" "$app"
  clear_old_builds
  exec 8>&-
}

clear_old_builds() { # all but this one and those that another data folder still runs
  local old
  for old in "$here"/web/target/app-*; do
    if [ "$old" != "$app" ] && [ -z "$(find /proc/[0-9]*/cwd -maxdepth 0 -lname "$old" 2>/dev/null)" ]; then
      rm -rf "$old"
    fi
  done
}

started_at() { # moment at which a process began, by which a reused number is told; nothing for one that is dead but not yet buried
  awk '$3 != "Z" { print $22 }' "/proc/$1/stat" 2>/dev/null
}

process() { # process NAME: the number of the process that was remembered by that name, if it runs for this folder
  local pid="" began=""
  read -r pid began <<<"$(recall "$1")"
  [ -n "$pid" ] && [ -n "$began" ] && [ "$(started_at "$pid")" = "$began" ] && belongs_here "$pid" && printf '%s' "$pid"
}

belongs_here() { # belongs_here PID: a copied folder names the processes of the original, which are not its own
  local folder
  folder=$(tr '\0' '\n' <"/proc/$1/environ" 2>/dev/null | sed -n 's/^MARTEN_DATA=//p')
  if [ -n "$folder" ]; then
    [ "$folder" = "$data" ]
  else # started by a program that did not say so yet
    [[ $(readlink "/proc/$1/cwd") == "$here/web/target/app-"* ]]
  fi
}

running() { # the number of our application's process, if it runs
  process web-process
}

scheme() {
  if [ -n "$(recall keystore)" ]; then say https; else say http; fi
}

host() { # where this machine reaches the application
  local told
  told=$(recall address)
  case $told in
    "" | 0.0.0.0 | ::) say "$loopback" ;;
    *:*) say "[$told]" ;;
    *) say "$told" ;;
  esac
}

answer() { # answer PATH: the head of what the page answers
  if [ "$(scheme)" = https ]; then
    curl -ksI -m 5 -X GET "https://$(host):$port$1" 2>/dev/null || true
    return
  fi
  (exec 3<>"/dev/tcp/$(host)/$port" && printf 'GET %s HTTP/1.0\r\nHost: %s\r\n\r\n' "$1" "$(host)" >&3 && timeout 5 head -n 20 <&3) 2>/dev/null
}

database_environment() { # database_environment NAME
  local told
  told=$(recall database-url)
  export MARTEN_DB_URL="jdbc:postgresql:${told:-//$loopback:$db_port/$1}"
  MARTEN_DB_PASSWORD=$(recall database-password)
  export MARTEN_DB_PASSWORD
  if [ -z "$told" ]; then
    MARTEN_DB_OWNER_PASSWORD=$(recall owner-password)
    export MARTEN_DB_USER=marten MARTEN_DB_OWNER=marten_owner MARTEN_DB_OWNER_PASSWORD
  fi
}

application_environment() {
  database_environment marten
  MARTEN_DEMO=false
  [ "$(recall kind)" != demo ] || MARTEN_DEMO=true
  MARTEN_FIRST_CODE=$(recall first-code)
  MARTEN_ADDRESS=$(recall address)
  MARTEN_ADDRESS=${MARTEN_ADDRESS:-$loopback}
  MARTEN_PUBLIC_URL=$(recall public-url)
  export MARTEN_DATA=$data MARTEN_PORT=$port MARTEN_DEMO MARTEN_FIRST_CODE MARTEN_ADDRESS MARTEN_PUBLIC_URL
  local proxies
  proxies=$(recall proxy)
  if [ -n "$proxies" ]; then
    export SERVER_FORWARD_HEADERS_STRATEGY=native SERVER_TOMCAT_REMOTEIP_TRUSTED_PROXIES="" SERVER_TOMCAT_REMOTEIP_INTERNAL_PROXIES
    SERVER_TOMCAT_REMOTEIP_INTERNAL_PROXIES=$(sed 's/[. ]*,[ ]*/|/g; s/\./\\./g' <<<"$proxies")
  fi
  if [ "$(scheme)" = https ]; then
    export SERVER_SSL_KEY_STORE SERVER_SSL_KEY_STORE_TYPE=PKCS12 SERVER_SSL_KEY_STORE_PASSWORD SERVER_HTTP2_ENABLED=true
    SERVER_SSL_KEY_STORE=$(recall keystore)
    SERVER_SSL_KEY_STORE_PASSWORD=$(cat "$SERVER_SSL_KEY_STORE.password")
  fi
  if [ "$(scheme)" = https ] || [[ $MARTEN_PUBLIC_URL == https:* ]]; then
    export SERVER_SERVLET_SESSION_COOKIE_SECURE=true
  fi
}

# A process that is out of memory ends, and is started again, instead of living on deaf. For a demonstration the quick
# compiler alone: two thirds of the time to the first page.
java_options() {
  options=(-Xms128m -XX:+UseSerialGC -XX:+ExitOnOutOfMemoryError)
  if [ "$(recall kind)" = demo ]; then
    options+=(-Xmx1g -XX:TieredStopAtLevel=1)
  else
    options+=(-XX:MaxRAMPercentage=40)
  fi
}

launch_application() {
  application_environment
  java_options
  rotate "$data/web.log"
  (umask 077 && touch "$data/web.log")
  printf '%s starting build %s\n' "$(date -Is)" "$stamp" >>"$data/web.log"
  if [ ! -f "$app/marten.jsa" ]; then
    say "Preparing quick starts"
    (cd "$app" && "$JAVA_HOME/bin/java" "${options[@]}" -XX:ArchiveClassesAtExit=marten.jsa.new -Dspring.context.exit=onRefresh \
      -Dserver.port=0 -jar marten.jar) >>"$data/web.log" 2>&1 9>&- || fail "The application does not start: $(why_not)"
    mv "$app/marten.jsa.new" "$app/marten.jsa"
  fi
  cd "$app"
  setsid nohup "$JAVA_HOME/bin/java" "${options[@]}" -XX:SharedArchiveFile=marten.jsa -jar marten.jar \
    >>"$data/web.log" 2>&1 </dev/null 9>&- &
  local pid=$!
  cd "$here"
  remember web-process "$pid $(started_at "$pid")"
  remember web-build "$stamp"
}

why_not() {
  local said
  said=$(tac "$data/web.log" | sed '/ starting build /q' | tac |
    grep -o -E 'Port [0-9]+ was already in use|Validate failed.*|The database is newer.*|Caused by: .*' | tail -n 1)
  printf '%s; see %s' "${said:-$(tail -n 1 "$data/web.log")}" "$data/web.log" | cut -c1-400
}

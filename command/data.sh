# shellcheck shell=bash
# The folder where everything is kept.

open_data() {
  mkdir -p "$data" 2>/dev/null || fail "The folder $data cannot be made. Choose another with --data, or give yourself permission."
  [ -w "$data" ] || fail "The folder $data cannot be written to. Choose another with --data, or give yourself permission."
  data=$(cd "$data" && pwd -P)
  [ -O "$data" ] || fail "The folder $data belongs to somebody else. Choose another with --data."
  [ -z "$(find "$data" -maxdepth 0 -perm /022)" ] ||
    fail "Others may write in the folder $data, so nothing in it can be believed. Take that right away (chmod go-w) or choose another with --data."
  lock_data
}

lock_data() {
  [ ! -L "$data/lock" ] || fail "$data/lock is a link; nothing is written through links."
  { exec 9>>"$data/lock"; } 2>/dev/null || fail "The folder $data belongs to somebody else. Choose another with --data."
  flock -w 120 9 || fail "Another './marten' has been at work in $data for two minutes. Wait for it, or end it."
}

remember() { # remember NAME VALUE: whole or not at all
  (umask 077 && printf '%s\n' "$2" >"$data/$1.new" && mv -fT "$data/$1.new" "$data/$1") ||
    fail "Nothing can be written in $data: $(df -h --output=avail "$data" | tail -n 1 | tr -d ' ') are free."
}

recall() { # recall NAME; nothing if it was never remembered
  [ ! -f "$data/$1" ] || [ -L "$data/$1" ] || cat "$data/$1"
}

secret() {
  od -An -N18 -tx1 /dev/urandom | tr -d ' \n'
}

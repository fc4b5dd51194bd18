#!/bin/sh
# follow-primary.sh TEMPLATE INI PIDFILE NODE...: keeps pgbouncer at the primary, and its alias for reading at the standby.
# Asks Patroni on each node (address:port of PostgreSQL:port of Patroni) who is what, three times a second. When it has changed,
# pgbouncer's file is written from the template, whole or not at all, and pgbouncer reads it. With no primary nothing is touched.
set -eu
template=$1
ini=$2
pidfile=$3
shift 3
told=

is() { curl -fs -o /dev/null -m 1 "http://$1/$2"; }

while :; do
  primary=
  standby=
  for node in "$@"; do
    address=${node%%:*}
    ports=${node#*:}
    if is "$address:${ports#*:}" primary; then primary="$address ${ports%%:*}"
    elif is "$address:${ports#*:}" replica; then standby="$address ${ports%%:*}"
    fi
  done
  # Reading finds the primary as long as there is no other.
  : "${standby:=$primary}"
  if [ -n "$primary" ] && [ "$primary $standby" != "$told" ]; then
    sed -e "s/@PRIMARY@/${primary% *}/; s/@PORT@/${primary#* }/" \
      -e "s/@STANDBY@/${standby% *}/; s/@STANDBY_PORT@/${standby#* }/" "$template" > "$ini.new"
    mv "$ini.new" "$ini"
    # One that does not run reads its file when it starts.
    if [ -s "$pidfile" ]; then kill -HUP "$(cat "$pidfile")" || true; fi
    told="$primary $standby"
  fi
  sleep 0.3
done

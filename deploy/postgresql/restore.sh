#!/bin/sh
# restore.sh BASE WAL DATA [TIME]: makes DATA, which must be empty or not there, of the base backup BASE and the kept WAL; up to
# the end of what was kept, or to TIME (as '2031-06-14 11:59:00+00'). Start PostgreSQL on it: it reads the WAL, then takes
# callers, on a timeline of its own. Run as the user PostgreSQL runs as.
set -eu
base=$1
wal=$2
data=$3
if [ -e "$data" ] && [ -n "$(ls -A "$data")" ]; then
  echo "restore: $data is not empty; nothing was touched. Move it away first: it may still be needed." >&2
  exit 1
fi
[ -f "$base/backup_label" ] || { echo "restore: $base is no base backup" >&2; exit 1; }
mkdir -p "$data"
chmod 700 "$data"
cp -a "$base/." "$data/"
# What was kept of the running server's own settings by "alter system" is for the machine it ran on.
cat >> "$data/postgresql.auto.conf" <<END
restore_command = 'cp "$wal/%f" "%p"'
recovery_target_action = 'promote'
synchronous_standby_names = ''
END
if [ $# -gt 3 ]; then
  echo "recovery_target_time = '$4'" >> "$data/postgresql.auto.conf"
fi
touch "$data/recovery.signal"
echo "$data is ready: start PostgreSQL on it, and wait until pg_is_in_recovery() says f"

#!/bin/sh
# base-backup.sh FOLDER [KEEP] [pg_basebackup's own options]: a base backup of the running primary into FOLDER/YYYYMMDDTHHMMSSZ, by a
# timer once a week. It is checked against its own list of files before it is called one. Of the older KEEP (4) stay; the WAL
# of what is let go may go with it: what the oldest base backup that stays needs begins at the file named in its backup_label.
set -eu
folder=$1
keep=${2:-4}
if [ $# -gt 2 ]; then shift 2; else shift $#; fi
name=$(date -u +%Y%m%dT%H%M%SZ)
pg_basebackup -D "$folder/.$name" -X stream -c fast "$@"
pg_verifybackup -q "$folder/.$name"
mv "$folder/.$name" "$folder/$name"
ls -1d "$folder"/[0-9]*Z | sort -r | tail -n "+$((keep + 1))" | while read -r old; do
  # Never the one just made, whatever the clock says.
  [ "$old" = "$folder/$name" ] || rm -rf "$old"
done
echo "$folder/$name"

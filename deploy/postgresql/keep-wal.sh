#!/bin/sh
# archive_command = '/usr/local/lib/toile/keep-wal.sh %p %f /var/backups/toile/wal'
# Keeps one file of WAL. It is there whole or not at all, on the disk before PostgreSQL is told so, and never in another's place:
# a crash in the middle leaves a .part, which is written anew. Sent twice, the same file is kept once.
set -eu
from=$1
to=$3/$2
if [ -e "$to" ]; then
  cmp -s "$from" "$to" && exit 0
  echo "keep-wal: another $2 is there already; is this the archive of another cluster?" >&2
  exit 1
fi
cp "$from" "$to.part"
sync "$to.part"
mv "$to.part" "$to"
sync "$3"

#!/usr/bin/env bash
# A backup that was made is restored and compared; one that was damaged, or lacks its key, is noticed.
# backup-drill.sh DATABASE: with the cluster that ./test started.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
. scripts/lib.sh
folder="$(mktemp -d)"
trap 'rm -rf "$folder"' EXIT
export PGPASSWORD="$PG_OWNER_PASSWORD" PATH="$PG_BIN:$PATH"
export BOLD_DATABASE="host=127.0.0.1 port=$PG_PORT dbname=$1 user=bold_owner" BOLD_BACKUP_KEY="$folder/key"
age-keygen -o "$BOLD_BACKUP_KEY" 2>/dev/null

file="$(deploy/bold-admin backup "$folder/backups" | tail -n 1)"
[ -s "$file" ] && grep -qP '^children\t[1-9]' "$file.rows" || fail 'The backup has no children in it.'
! grep -qa 'PGDMP' "$file" || fail 'The backup is not encrypted.'

psql "$BOLD_DATABASE dbname=postgres" -qXc 'drop database if exists bold_restored with (force)'
deploy/bold-admin restore "$file" bold_restored
psql "$BOLD_DATABASE dbname=bold_restored" -XqAtc 'select name from schools' | grep -q . || fail 'Nothing was restored.'
# The app's role still sees nothing of a school that it has not named.
seen="$(PGPASSWORD="$PG_APP_PASSWORD" psql "host=127.0.0.1 port=$PG_PORT dbname=bold_restored user=bold_app" -XqAtc 'select count(*) from children')"
[ "$seen" = 0 ] || fail 'Row-level security was not restored.'
psql "$BOLD_DATABASE dbname=postgres" -qXc 'drop database bold_restored with (force)'

# What a backup has no more is noticed, and so is a file that was damaged or that another key closed.
sed -i 's/^children\t.*/children\t1/' "$file.rows"
! deploy/bold-admin check "$file" 2>/dev/null || fail 'A backup with other rows was taken for proven.'
printf 'x' | dd of="$file" bs=1 seek=$(($(stat -c %s "$file") / 2)) conv=notrunc status=none
! deploy/bold-admin check "$file" 2>/dev/null || fail 'A damaged backup was taken for proven.'
age-keygen -o "$folder/other" 2>/dev/null
! BOLD_BACKUP_KEY="$folder/other" deploy/bold-admin check "$file" 2>/dev/null || fail 'Another key opened it.'
# What a lead asked for in the app: made, told, and begun anew after it was killed in its middle.
sql() { psql "$BOLD_DATABASE" -XqAtc "$1"; }
ask_for() {
  sql "insert into jobs (school_id, id, kind, made_by, made_at, state, input, done, total, is_to_cancel, tries)
    select school_id, gen_random_uuid(), 'backup', gen_random_uuid(), now(), 'Waiting', '{}', 0, 0, $1, 0 from schools limit 1 returning id"
}
state() { sql "select state || ' ' || tries from jobs where id = '$1'"; }
asked="$(ask_for false)"
deploy/bold-admin asked "$folder/asked" >/dev/null 2>&1
[ "$(state "$asked")" = 'Done 1' ] || fail "A backup that was asked for is $(state "$asked")."
asked="$(ask_for false)"
# Slow enough to be killed: what encrypts waits.
mkdir "$folder/slow"
printf '#!/bin/sh\nsleep 30\n' >"$folder/slow/age"
chmod +x "$folder/slow/age"
PATH="$folder/slow:$PATH" setsid deploy/bold-admin asked "$folder/asked" >/dev/null 2>&1 &
slow=$!
for _ in $(seq 100); do [ "$(state "$asked")" = 'Running 1' ] && break; sleep 0.1; done
sleep 0.5
kill -9 -- "-$slow"
wait "$slow" 2>/dev/null || true
[ "$(state "$asked")" = 'Running 1' ] || fail "A backup that was killed is $(state "$asked")."
deploy/bold-admin asked "$folder/asked" >/dev/null 2>&1
[ "$(state "$asked")" = 'Done 2' ] || fail "A backup that was killed and begun anew is $(state "$asked")."
! ls "$folder/asked"/*.part >/dev/null 2>&1 || fail 'Something was left of a backup that was killed.'
asked="$(ask_for true)"
deploy/bold-admin asked "$folder/asked" >/dev/null 2>&1 || true
[ "$(state "$asked")" = 'Cancelled 1' ] || fail "A backup that was cancelled is $(state "$asked")."

left="$(psql "$BOLD_DATABASE dbname=postgres" -XqAtc "select count(*) from pg_database where datname like 'bold_check_%'")"
[ "$left" = 0 ] || fail 'A scratch database was left behind.'
echo 'A backup was made, proven, restored; what is wrong with one is noticed.'

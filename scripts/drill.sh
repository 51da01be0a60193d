#!/usr/bin/env bash
# Drives a fresh clone as a new user would: ./start; again with no network at all; kill -9 of app and database, start again;
# a taken port; two clones side by side. Exits non-zero when any of it goes wrong.
set -uo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
. "$ROOT/scripts/lib.sh"

CLONE="$(mktemp -d /tmp/bold-drill.XXXXXX)"
STARTED=0
cleanup() {
  [ "$STARTED" != 0 ] && kill -TERM "$STARTED" 2>/dev/null && wait "$STARTED" 2>/dev/null
  rm -rf "$CLONE"
}
trap cleanup EXIT
die() { echo "drill: $*"; [ -f "$CLONE/out" ] && tail -n 15 "$CLONE/out"; exit 1; }

chmod 755 "$CLONE"
git clone -q "$ROOT" "$CLONE/app" || die "cloning failed"
PORT="$(free_port)"

# begin SECONDS COMMAND…: runs a start in the background and waits for its address.
begin() {
  local limit="$1" since=$SECONDS; shift
  : >"$CLONE/out"
  (cd "$CLONE/app" && exec "$@") >"$CLONE/out" 2>&1 &
  STARTED=$!
  until grep -q 'Ctrl-C stops it' "$CLONE/out"; do
    kill -0 "$STARTED" 2>/dev/null || die "start ended early"
    [ $((SECONDS - since)) -lt "$limit" ] || die "start took longer than $limit s"
    sleep 0.2
  done
  TOOK=$((SECONDS - since))
}
end() {
  kill -TERM "$STARTED" && wait "$STARTED"
  [ $? = 0 ] || die "start did not stop cleanly"
  STARTED=0
  port_taken "$PORT" && die "the port is still taken after stopping"
  return 0
}
# The process of the clone's PostgreSQL.
postmaster() {
  local found; found="$(find "$CLONE/app/.run/pg" -name postmaster.pid -exec head -n 1 {} \; 2>/dev/null)"
  [ -n "$found" ] || found="$(find /var/tmp/bold-ladder-* -path '*/pg/data/postmaster.pid' -exec head -n 1 {} \; 2>/dev/null | tail -n 1)"
  echo "$found"
}
serves() { node -e 'fetch(process.argv[1]).then(r=>r.text()).then(t=>process.exit(t.includes("Bold Ladder")?0:1),()=>process.exit(1))' "http://127.0.0.1:$PORT/" || die "the page is not served"; }

begin 900 ./start --port "$PORT"
serves
accounts="$(cat "$CLONE/app/.run/demo-accounts.tsv")"
echo "drill: first start of a fresh clone ${TOOK} s"

if (cd "$CLONE/app" && ./start --port "$PORT") >"$CLONE/second" 2>&1; then die "a second start in one folder was let in"; fi
grep -q 'already running' "$CLONE/second" || die "a second start gave no clear message"
git clone -q "$ROOT" "$CLONE/other" || die "cloning failed"
if (cd "$CLONE/other" && ./start --port "$PORT") >"$CLONE/second" 2>&1; then die "a taken port was let in"; fi
grep -q 'is taken' "$CLONE/second" || die "a taken port gave no clear message"
end

if unshare -n true 2>/dev/null; then
  begin 60 unshare -n bash -c 'ip link set lo up; exec ./start --port "$1"' _ "$PORT"
  echo "drill: second start, no network ${TOOK} s"
  end
else
  echo "drill: this machine gives no network namespaces; the start without network was not tried"
fi

begin 60 ./start --port "$PORT"
serves
kill -9 "$STARTED" "$(cat "$CLONE/app/.run/app.pid")"
wait "$STARTED" 2>/dev/null
# A process that was killed may take a moment to let its port go.
for _ in $(seq 50); do port_taken "$PORT" || break; sleep 0.1; done
kill -9 "$(postmaster)"
begin 60 ./start --port "$PORT"
serves
[ "$accounts" = "$(cat "$CLONE/app/.run/demo-accounts.tsv")" ] || die "the demo school was loaded twice"
echo "drill: start after kill -9 of app and database ${TOOK} s"
end

# The app dies by itself: start ends with an error and says so. The database dies: start brings it back.
begin 60 ./start --port "$PORT"
echo "drill: start with nothing to build ${TOOK} s"
kill -9 "$(cat "$CLONE/app/.run/app.pid")"
if wait "$STARTED"; then die "start ended well although the app had died"; fi
STARTED=0
grep -q 'ended by itself' "$CLONE/out" || die "start did not say that the app had died"
begin 60 ./start --port "$PORT"
kill -9 "$(postmaster)"
for _ in $(seq 1 100); do grep -q 'starting it again' "$CLONE/out" && serves && break; sleep 0.2; done
node -e 'fetch(process.argv[1]).then(r=>process.exit(r.ok?0:1),()=>process.exit(1))' "http://127.0.0.1:$PORT/health" || { sleep 3; node -e 'fetch(process.argv[1]).then(r=>process.exit(r.ok?0:1),()=>process.exit(1))' "http://127.0.0.1:$PORT/health"; } || die "the database did not come back"
end

begin 60 ./start --port "$PORT" --fresh
[ "$accounts" != "$(cat "$CLONE/app/.run/demo-accounts.tsv")" ] || die "--fresh did not load the demo school anew"
end
echo "drill: all went well"

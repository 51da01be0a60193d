# Shared by ./start, ./test and .ci/run: installing what is missing, building only what changed, a private PostgreSQL cluster.
# Sourced; expects ROOT. Everything it makes lies in $ROOT/.run, which git ignores.

RUN="$ROOT/.run"
mkdir -p "$RUN"
export DOTNET_CLI_TELEMETRY_OPTOUT=1 DOTNET_NOLOGO=1 NUGET_XMLDOC_MODE=skip

say() { printf '%s\n' "$*" >&2; }
fail() { say "$*"; exit 1; }

# --- what has to be there -------------------------------------------------------------------------------------------------

# install_missing PROGRAM…: what is always needed, and programs that are packages of the same name.
install_missing() {
  local missing=() also
  ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || missing+=(postgresql)
  [ -x /usr/bin/chromium ] || missing+=(chromium)
  for also in "$@"; do command -v "$also" >/dev/null || missing+=("$also"); done
  command -v dotnet >/dev/null || fail "The .NET SDK 10 is missing. Install it, then run this again."
  command -v node >/dev/null || fail "Node.js 20 is missing. Install it, then run this again."
  [ "${#missing[@]}" = 0 ] && return
  if [ "$(id -u)" != 0 ]; then
    fail "Missing: ${missing[*]}. Run this once, then try again:  sudo apt-get install -y --no-install-recommends ${missing[*]}"
  fi
  say "Installing ${missing[*]} from Debian's packages …"
  apt-get update -q >/dev/null && DEBIAN_FRONTEND=noninteractive apt-get install -qy --no-install-recommends "${missing[@]}" >/dev/null \
    || fail "Installing ${missing[*]} failed. Check the network and run this again."
}

# --- doing work only when its inputs changed -------------------------------------------------------------------------------

# fingerprint PATH…: one hash over the names and contents of the files.
fingerprint() {
  (cd "$ROOT" && find "$@" \( -name node_modules -o -name bin -o -name obj -o -name wwwroot -o -name dist \) -prune -o -type f -print0 \
    | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
}

# once NAME FINGERPRINT COMMAND…: runs the command unless it succeeded before with the same fingerprint.
once() {
  local stamp="$RUN/$1.stamp" print="$2"; shift 2
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$print" ] && return
  "$@" && printf '%s' "$print" >"$stamp"
}

npm_install() {
  [ -d "$ROOT/node_modules" ] || rm -f "$RUN/npm.stamp"
  once npm "$(fingerprint package.json package-lock.json web/package.json tests/browser/package.json)" _npm_ci
}
_npm_ci() {
  say "Installing front-end packages …"
  (cd "$ROOT" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund --loglevel=error >&2)
}

dotnet_restore() {
  [ -d "$ROOT/src/BoldLadder.Web/obj" ] || rm -f "$RUN/restore.stamp"
  once restore "$(cd "$ROOT" && cat global.json Directory.*.props BoldLadder.slnx $(git ls-files '*.csproj' '*packages.lock.json') | sha256sum)" _restore
}
_restore() {
  say "Restoring .NET packages …"
  (cd "$ROOT" && dotnet restore BoldLadder.slnx --nologo -v q >&2)
}

# The published app in $RUN/app: front end first, since it is served from the app's wwwroot.
publish_app() {
  [ -f "$RUN/app/BoldLadder.Web.dll" ] || rm -f "$RUN/publish.stamp"
  once publish "$(fingerprint src web/src web/index.html web/vite.config.ts data/lexicon data/ladders data/sentences data/inventory data/templates data/pictures data/accounts text Directory.Build.props Directory.Packages.props package-lock.json)" _publish
}
_publish() {
  say "Building …"
  (cd "$ROOT" && npm run --silent build -w web >&2 \
    && dotnet publish src/BoldLadder.Web -c Release -o "$RUN/app" --no-restore --nologo -v q -p:SkipOpenApi=true >&2)
}

# --- a private PostgreSQL cluster -------------------------------------------------------------------------------------------

PG_BIN="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1 || true)"

# A port below those the system hands out by itself, so that no outgoing connection takes it between a stop and a start.
free_port() {
  node -e 'const net=require("net");const next=()=>{const p=15000+Math.floor(Math.random()*15000);const s=net.createServer().once("error",next).listen(p,"127.0.0.1",()=>s.close(()=>console.log(p)))};next()'
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# PostgreSQL refuses root: as root its programs run as the system user postgres, who must be able to reach the folder.
as_postgres() {
  if [ "$(id -u)" = 0 ]; then
    (cd / && setpriv --reuid=postgres --regid=postgres --clear-groups env -u HOME PATH="$PATH" "$@")
  else
    "$@"
  fi
}

# pg_open NAME [SETTING…]: makes the cluster on first use, starts it, and leaves PG_PORT, PG_OWNER_PASSWORD and PG_APP_PASSWORD set.
pg_open() {
  PG_NAME="$1"; shift
  PG_HOME="$RUN/$PG_NAME"
  if [ "$(id -u)" = 0 ] && ! as_postgres test -x "$RUN" 2>/dev/null; then
    PG_HOME="/var/tmp/bold-ladder-$(printf %s "$ROOT" | sha256sum | cut -c1-12)/$PG_NAME"
  fi
  PG_SECRETS="$RUN/$PG_NAME.secrets"
  if [ ! -f "$PG_HOME/made" ]; then _pg_make "$@"; fi
  . "$PG_SECRETS"
  _pg_start
}

_pg_make() {
  say "Making a private PostgreSQL cluster …"
  rm -rf "$PG_HOME"; mkdir -p "$PG_HOME"
  [ "$(id -u)" = 0 ] && chown postgres:postgres "$PG_HOME"
  local admin; admin="$(_secret)"
  (umask 077; printf '%s' "$admin" >"$PG_HOME/initial")
  [ "$(id -u)" = 0 ] && chown postgres "$PG_HOME/initial"
  as_postgres "$PG_BIN/initdb" -D "$PG_HOME/data" -U bold_admin --auth=scram-sha-256 --pwfile="$PG_HOME/initial" --data-checksums -E UTF8 --locale=C.UTF-8 >"$RUN/$PG_NAME.initdb.log" 2>&1 \
    || fail "PostgreSQL could not be set up; see $RUN/$PG_NAME.initdb.log"
  rm -f "$PG_HOME/initial"
  local setting
  {
    printf "listen_addresses='127.0.0.1'\nunix_socket_directories=''\nmax_connections=60\n"
    for setting in "$@"; do printf '%s\n' "$setting"; done
  } | as_postgres tee -a "$PG_HOME/data/postgresql.conf" >/dev/null
  # The tables' owner is no superuser: it makes databases and may end what the app left open in them, nothing more. The superuser is for repairs.
  (umask 077; printf 'PG_PORT=%s\nPG_ADMIN_PASSWORD=%s\nPG_OWNER_PASSWORD=%s\nPG_APP_PASSWORD=%s\n' "$(free_port)" "$admin" "$(_secret)" "$(_secret)" >"$PG_SECRETS")
  . "$PG_SECRETS"
  _pg_start
  _pg_admin "create role bold_owner login createdb password '$PG_OWNER_PASSWORD'; create role bold_app login password '$PG_APP_PASSWORD'; grant pg_signal_backend to bold_owner" >/dev/null
  _pg_admin "create database bold owner bold_owner" >/dev/null
  as_postgres touch "$PG_HOME/made"
}

_pg_admin() { PGPASSWORD="${PG_ADMIN_PASSWORD:-}" psql -h 127.0.0.1 -p "$PG_PORT" -U bold_admin -d postgres -v ON_ERROR_STOP=1 -qAtc "$1"; }

_secret() { node -e 'process.stdout.write(require("crypto").randomBytes(24).toString("hex"))'; }

_pg_start() {
  local try
  for try in $(seq 1 40); do
    # After a kill -9 the pid file lies; only an answer counts.
    if pg_answers && _pg_ours; then return; fi
    if port_taken "$PG_PORT" && ! as_postgres "$PG_BIN/pg_ctl" -D "$PG_HOME/data" status >/dev/null 2>&1; then
      sed -i "s/^PG_PORT=.*/PG_PORT=$(free_port)/" "$PG_SECRETS"; . "$PG_SECRETS"
    fi
    as_postgres "$PG_BIN/pg_ctl" -D "$PG_HOME/data" -o "-p $PG_PORT" -l "$PG_HOME/log" -w -t 30 start >/dev/null 2>&1 9>&- || sleep 0.2
  done
  fail "PostgreSQL did not start; see $PG_HOME/log"
}

pg_answers() { "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$PG_PORT"; }

# migrated DATABASE: the database has the newest tables.
migrated() {
  local newest; newest="$(cd "$ROOT/src/BoldLadder.Store/Migrations" && ls [0-9]*.cs | grep -v Designer | sort | tail -n 1)"
  [ "$(pg_sql "$1" "select count(*) from \"__EFMigrationsHistory\" where migration_id = '${newest%.cs}'" 2>/dev/null || echo 0)" -gt 0 ]
}

# prepared: the database has the newest tables and the demo school, whose accounts are known; then nothing needs to be loaded.
prepared() {
  [ -f "$RUN/demo-accounts.tsv" ] && migrated bold && [ "$(pg_sql bold "select count(*) from users where is_demo")" -gt 0 ]
}

# Another cluster may answer on the port: only one that takes our password is ours.
_pg_ours() { _pg_admin "select 1" >/dev/null 2>&1 || pg_sql postgres "select 1" >/dev/null 2>&1; }

pg_close() { as_postgres "$PG_BIN/pg_ctl" -D "$PG_HOME/data" -m fast -w stop >/dev/null 2>&1 || true; }

# pg_sql DATABASE SQL: as the owner, over loopback.
pg_sql() { PGPASSWORD="$PG_OWNER_PASSWORD" psql -h 127.0.0.1 -p "$PG_PORT" -U bold_owner -d "$1" -v ON_ERROR_STOP=1 -qAtc "$2"; }

connection() { printf 'Host=127.0.0.1;Port=%s;Database=%s;Username=%s;Password=%s' "$PG_PORT" "$1" "$2" "$3"; }
owner_connection() { connection "$1" bold_owner "$PG_OWNER_PASSWORD"; }
app_connection() { connection "$1" bold_app "$PG_APP_PASSWORD"; }

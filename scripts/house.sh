# Shared by ./run and ./test: what must be on the machine, the database, and telling what goes on. Sourced, not run.
# shellcheck shell=bash

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
HOUSE=${NARROWGATE_HOME:-$ROOT/.narrowgate}
MIN_NODE=20.19

say() { printf '%s\n' "$*"; }

fail() {
  printf '\n%s\n' "$*" >&2
  exit 1
}

# phase "What happens" command…: runs the command with its output in a log and shows that time passes.
phase() {
  local title=$1 log begun pid status
  shift
  mkdir -p "$HOUSE/log"
  log=$HOUSE/log/$(printf '%s' "$title" | tr -cs 'A-Za-z0-9' '-' | tr 'A-Z' 'a-z').log
  begun=$SECONDS
  printf '%s …' "$title"
  "$@" >"$log" 2>&1 </dev/null &
  pid=$!
  while kill -0 "$pid" 2>/dev/null; do
    sleep 0.5
    if ((SECONDS - begun >= 2)); then
      if [ -t 1 ]; then printf '\r%s … %d s' "$title" $((SECONDS - begun)); elif (((SECONDS - begun) % 5 == 0)); then printf '.'; fi
    fi
  done
  if wait "$pid"; then status=0; else status=$?; fi
  if ((status != 0)); then
    printf ' failed\n' >&2
    tail -n 40 "$log" >&2
    fail "“$title” failed after $((SECONDS - begun)) s. The whole output is in $log"
  fi
  if [ -t 1 ]; then printf '\r%s … done in %d s\n' "$title" $((SECONDS - begun)); else printf ' done in %d s\n' $((SECONDS - begun)); fi
}

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi
}

# The newest PostgreSQL that Debian installed, or nothing.
postgres_bin() {
  local bin
  bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -t/ -k5 -n | tail -n 1)
  if [ -n "$bin" ] && [ -x "$bin/initdb" ]; then printf '%s' "$bin"; fi
}

at_least() { [ "$(printf '%s\n%s\n' "$1" "$2" | sort -V | head -n 1)" = "$1" ]; }

has_java() {
  local javac version
  javac=$(command -v javac) || return 1
  # It stands beside it; asking the compiler takes a quarter of a second at every start.
  version=$(sed -n 's/^JAVA_VERSION="\(.*\)"$/\1/p' "$(dirname "$(readlink -f "$javac")")/../release" 2>/dev/null || true)
  at_least 17 "${version:-$(javac -version 2>&1 | awk '{print $2}')}"
}

has_node() { command -v node >/dev/null && command -v npm >/dev/null && at_least "$MIN_NODE" "$(node --version | tr -d v)"; }

# need_packages [with-browser] [with-proxy] [with-cluster]: installs from Debian what is missing.
need_packages() {
  local missing=()
  has_java || missing+=(openjdk-17-jdk-headless)
  command -v mvn >/dev/null || missing+=(maven)
  [ -n "$(postgres_bin)" ] || missing+=(postgresql)
  if [ -d "$HOUSE/node/node_modules" ]; then use_own_node; fi
  if ! has_node && ! command -v npm >/dev/null; then missing+=(npm); fi
  if [[ " $* " = *" with-proxy "* || " $* " = *" with-cluster "* ]]; then
    [ -n "$(PATH=$PATH:/usr/sbin command -v haproxy)" ] || missing+=(haproxy)
  fi
  if [[ " $* " = *" with-cluster "* ]]; then
    command -v patroni >/dev/null || missing+=(patroni)
    command -v etcd >/dev/null || missing+=(etcd-server)
  fi
  if [[ " $* " = *" with-browser "* ]]; then
    [ -x /usr/bin/chromium-headless-shell ] || missing+=(chromium-headless-shell)
    command -v dot >/dev/null || missing+=(graphviz)
  fi
  if ((${#missing[@]} > 0)); then
    command -v apt-get >/dev/null || fail "Missing: ${missing[*]}. This is not a Debian system; install them and try again."
    if [ "$(id -u)" != 0 ] && ! sudo -n true 2>/dev/null && ! { [ -t 0 ] && sudo -v; }; then
      fail "Missing: ${missing[*]}. You are neither root nor a user who may use sudo, so they cannot be installed.
Run this as root or as a user who may use sudo, or have an administrator install them."
    fi
    phase "Reading Debian's package lists" as_root apt-get update
    phase "Installing ${missing[*]}" install_packages "${missing[@]}"
  fi
  has_node || phase "Fetching a newer Node.js" fetch_node
  has_node || use_own_node
  has_node || fail "No Node.js from $MIN_NODE on could be set up."
}

install_packages() {
  # Debian would set up and start a database cluster of its own; ours is the only one that is wanted.
  if [ ! -d /etc/postgresql ] && [ ! -e /etc/postgresql-common/createcluster.conf ]; then
    as_root mkdir -p /etc/postgresql-common
    printf 'create_main_cluster = false\n' | as_root tee /etc/postgresql-common/createcluster.conf >/dev/null
  fi
  as_root env DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=300 install -y --no-install-recommends "$@"
}

fetch_node() {
  local kind
  case $(uname -m) in
    x86_64) kind=x64 ;;
    aarch64) kind=arm64 ;;
    *) echo "No Node.js package is known for $(uname -m)."; return 1 ;;
  esac
  mkdir -p "$HOUSE/node"
  npm install --prefix "$HOUSE/node" "node-linux-$kind@22"
}

use_own_node() {
  local bin
  bin=$(ls -d "$HOUSE"/node/node_modules/node-linux-*/bin 2>/dev/null | head -n 1)
  if [ -n "$bin" ]; then export PATH=$bin:$PATH; fi
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# free_port FIRST: the first from there on. Those from 32768 on the machine gives to whoever connects, so that one that a server had may be
# another program's while it is away.
free_port() {
  local port=$1
  while ! port_is_free "$port"; do port=$((port + 1)); done
  printf '%s' "$port"
}

# PostgreSQL refuses to run as root, so root runs it as the user that Debian made for it.
as_postgres() {
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

# prepare_database FOLDER: makes a cluster of our own there, if there is none. Sets PG_DATA, PG_PASSWORD, PG_FOLDER.
prepare_database() {
  PG_FOLDER=$1
  mkdir -p "$PG_FOLDER"
  if [ "$(id -u)" = 0 ]; then
    chown postgres "$PG_FOLDER"
    if ! as_postgres test -w "$PG_FOLDER"; then
      # A clone under /root, for one: the database's user cannot reach into it.
      [ -z "${NARROWGATE_HOME:-}" ] || fail "The user postgres cannot reach $PG_FOLDER. Choose another NARROWGATE_HOME."
      PG_FOLDER=/var/lib/narrowgate/$(printf '%s' "$1" | cksum | cut -d' ' -f1)
      say "The user postgres cannot reach $1; the database is kept in $PG_FOLDER."
      mkdir -p "$PG_FOLDER"
      chown postgres "$PG_FOLDER"
    fi
  fi
  chmod 700 "$PG_FOLDER"
  PG_DATA=$PG_FOLDER/data
  if [ ! -s "$PG_FOLDER/password" ]; then
    (umask 077 && head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$PG_FOLDER/password")
    if [ "$(id -u)" = 0 ]; then chown postgres "$PG_FOLDER/password"; fi
  fi
  PG_PASSWORD=$(cat "$PG_FOLDER/password")
  if [ ! -s "$PG_DATA/PG_VERSION" ]; then
    phase "Setting up the database" as_postgres "$(postgres_bin)/initdb" -D "$PG_DATA" -U narrowgate \
      --auth-local=reject --auth-host=scram-sha-256 --pwfile="$PG_FOLDER/password" -E UTF8 --locale=C.UTF-8
  fi
}

# start_database [extra settings]: on a free port of the loopback address, from PG_FIRST_PORT on, without a socket file. Sets PG_PORT.
start_database() {
  if as_postgres "$(postgres_bin)/pg_ctl" -D "$PG_DATA" status >/dev/null 2>&1; then
    stop_database # left over from a run that was killed
  fi
  phase "Starting the database" start_on_a_free_port "$(free_port "${PG_FIRST_PORT:-24620}")" "${1:-}"
  PG_PORT=$(as_postgres sed -n 4p "$PG_DATA/postmaster.pid")
}

# start_on_a_free_port PORT EXTRA: goes on to the next where another program took it between the look and the start.
start_on_a_free_port() {
  local port=$1 until=$(($1 + 20))
  while ! start_on "$port" "$2"; do
    as_postgres tail -n 12 "$PG_FOLDER/postgres.log" | grep -q "could not bind" || return 1
    port=$(free_port $((port + 1)))
    ((port < until)) || return 1
  done
}

start_on() {
  as_postgres "$(postgres_bin)/pg_ctl" -D "$PG_DATA" -w -t 60 -l "$PG_FOLDER/postgres.log" \
    -o "-c listen_addresses=127.0.0.1 -c port=$1 -c unix_socket_directories='' ${2:-}" start
}

# least_rights [DATABASE]: two users of the database for the server: one owns the tables, one works with what is in them.
# Neither is above that. Sets PG_OWNER_PASSWORD and PG_WORK_PASSWORD.
least_rights() {
  PG_OWNER_PASSWORD=$(password_of owner)
  PG_WORK_PASSWORD=$(password_of work)
  local database=${1:-narrowgate}
  # From a pipe: a command line can be read by everybody on the machine.
  sql_of "$database" <<<"
    do \$\$ begin
      if not exists (select from pg_roles where rolname = 'narrowgate_owner') then create role narrowgate_owner login; end if;
      if not exists (select from pg_roles where rolname = 'narrowgate_work') then create role narrowgate_work login; end if;
    end \$\$;
    alter role narrowgate_owner password '$PG_OWNER_PASSWORD';
    alter role narrowgate_work password '$PG_WORK_PASSWORD';
    revoke all on database $database from public;
    grant connect on database $database to narrowgate_owner, narrowgate_work;
    revoke all on schema public from public;
    grant usage, create on schema public to narrowgate_owner;
    grant usage on schema public to narrowgate_work;
    do \$\$ declare name text; begin
      for name in select format('%I.%I', schemaname, tablename) from pg_tables where schemaname = 'public' loop
        execute 'alter table ' || name || ' owner to narrowgate_owner';
      end loop;
    end \$\$;
    grant select, insert, update, delete on all tables in schema public to narrowgate_work;
    alter default privileges for role narrowgate_owner in schema public
      grant select, insert, update, delete on tables to narrowgate_work;"
}

# password_of NAME: of a user of the database, made when it is first asked for.
password_of() {
  if [ ! -s "$PG_FOLDER/$1-password" ]; then
    (umask 077 && head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$PG_FOLDER/$1-password")
  fi
  cat "$PG_FOLDER/$1-password"
}

# True while the database that start_database started is there.
database_runs() { kill -0 "$(head -n 1 "$PG_DATA/postmaster.pid" 2>/dev/null)" 2>/dev/null; }

# Starts the database again on the port that its clients know.
restart_database() { phase "Starting the database" start_on "$PG_PORT"; }

stop_database() {
  as_postgres "$(postgres_bin)/pg_ctl" -D "$PG_DATA" -w -t 60 -m fast stop >/dev/null 2>&1 || true
}

# sql_of DATABASE: what comes in.
sql_of() {
  PGPASSWORD=$PG_PASSWORD "$(postgres_bin)/psql" -qAt -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$PG_PORT" -U narrowgate -d "$1"
}

sql() {
  PGPASSWORD=$PG_PASSWORD "$(postgres_bin)/psql" -qAt -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$PG_PORT" -U narrowgate -d "$1" -c "$2"
}

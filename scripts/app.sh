# Shared by ./run and scripts/keep: the built application, where it is and who runs it. Sourced after house.sh, not run.
# shellcheck shell=bash

serves=$HOUSE # where the server's own files are
app=$serves/app
jar=$ROOT/server/target/narrow-gate-app.jar
as_server=() # what stands before a command of the server's
as_wired=-Dspring.aot.enabled=true # the server's wiring as it was worked out by the build

is_built() {
  [ -e "$app/compiled" ] && [ -e "$app/narrow-gate-app.jar" ] && [ -z "$(cd "$ROOT" && find pom.xml core/pom.xml core/src/main \
    exchange/pom.xml exchange/src/main browser/pom.xml browser/src/main docs/formats server/pom.xml server/src/main demo web/build web/index.html web/package.json \
    web/package-lock.json web/public web/src web/tsconfig.json web/vite.config.ts \
    -newer "$app/compiled" ! -path web/src/api/schema.d.ts ! -path web/src/api -print -quit)" ]
}

build() {
  cd "$ROOT"
  # What is edited from here on is not in it.
  touch "$HOUSE/build-begun"
  mvn -B -ntp -Dstyle.color=never -q -pl server -am -DskipTests package 9>&-
  rm -rf "$app"
  java -Djarmode=tools -jar "$jar" extract --destination "$app"
  touch -r "$HOUSE/build-begun" "$app/compiled"
}

need_build() {
  if ! is_built; then
    say "The first build fetches what it needs and takes some minutes."
    phase "Building" build
  fi
}

# As root, the server runs as a user of its own who may do nothing else. Sets serves and app.
prepare_server_user() {
  [ "$(id -u)" = 0 ] || return 0
  id -u narrowgate >/dev/null 2>&1 || useradd --system --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin narrowgate
  # No process stands between: what stops the server must reach it.
  as_server=(setpriv --reuid=narrowgate --regid=narrowgate --init-groups --no-new-privs --)
  if ! "${as_server[@]}" test -x "$HOUSE"; then
    serves=/var/lib/narrowgate/$(printf '%s' "$HOUSE" | cksum | cut -d' ' -f1)-server
    app=$serves/app
    mkdir -p "$serves"
    say "The user narrowgate cannot reach $HOUSE; the server's files are in $serves."
  fi
}

server_owns() { [ "$(id -u)" != 0 ] || chown -R narrowgate "$@"; }

# A class-data archive more than halves the start; made once a build.
archive_classes() {
  "${as_server[@]}" java -XX:ArchiveClassesAtExit="$serves/log/classes.jsa" "$as_wired" -Dspring.context.exit=onRefresh -jar "$app/narrow-gate-app.jar" 9>&-
}

finish_build() {
  [ ! -e "$app/built" ] || return 0
  phase "Preparing a quick start" archive_classes
  if [ -e "$serves/log/classes.jsa" ]; then mv "$serves/log/classes.jsa" "$app/"; fi
  touch "$app/built"
}

# keeping WHAT …: backups, as the program does them, on the database NARROWGATE_DB_NAME or narrowgate.
keeping() {
  NARROWGATE_DB_URL=jdbc:postgresql://127.0.0.1:${PG_PORT:-0}/${NARROWGATE_DB_NAME:-narrowgate} \
    NARROWGATE_DB_USER=narrowgate NARROWGATE_DB_PASSWORD=${PG_PASSWORD:-} NARROWGATE_DB_OWNER=narrowgate_owner \
    java -Xmx256m -XX:TieredStopAtLevel=1 -cp "$app/narrow-gate-app.jar" app.narrowgate.server.backup.BackupCommand "$@" 9>&-
}
